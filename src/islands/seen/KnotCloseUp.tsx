import { useEffect, useRef, useState } from 'react';
import type { SeenCloth } from '../../core/cloth/mesh/compact.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import type { KnotScene, SceneDress } from '../../scene/KnotScene.ts';
import { ClothPicture } from './ClothPicture.tsx';
import { useTurning } from './useTurning.ts';

export interface CloseUpProps {
  readonly cloth: SeenCloth;
  readonly paint: FabricLook;
  readonly title: string;
  readonly blade: 'right' | 'left';
  readonly dress: SceneDress;
  readonly turn: number;
  readonly onTurn: (degrees: number) => void;
}

/** While it is turned it is drawn in the screen's own pixels; once it rests, in so many to each of them across and down. */
const finestRatio = 2;
const restMs = 250;

/**
 * The knot on its collar, to be turned. What draws it in light and shadow is fetched once the picture is in sight;
 * until then, and where the browser cannot draw so, the cloth alone is painted from the same mesh.
 */
export function KnotCloseUp(props: CloseUpProps) {
  const { cloth, paint, title, blade, dress, turn, onTurn } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const [scene, setScene] = useState<KnotScene | 'none'>();
  const turning = useTurning(title, turn, onTurn);

  useEffect(() => {
    const at = canvas.current;
    if (!at) return;
    let made: KnotScene | undefined;
    let gone = false;
    const sight = new IntersectionObserver(([entry]) => {
      if (!entry?.isIntersecting) return;
      sight.disconnect();
      import('../../scene/KnotScene.ts')
        .then(({ KnotScene }) => {
          if (gone) return;
          made = new KnotScene(at);
          setScene(made);
        })
        .catch(() => setScene('none'));
    });
    sight.observe(at);
    return () => {
      gone = true;
      sight.disconnect();
      made?.viewer.dispose();
    };
  }, []);

  useEffect(() => {
    if (typeof scene === 'object') scene.show({ cloth, paint, blade, dress });
  }, [scene, cloth, paint, blade, dress]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: whatever is shown anew is drawn anew.
  useEffect(() => {
    const at = canvas.current;
    if (typeof scene !== 'object' || !at) return;
    scene.viewer.turn(turn);
    const ratio = Math.min(finestRatio, devicePixelRatio);
    scene.viewer.draw(at.clientWidth, at.clientHeight, ratio);
    if (ratio === finestRatio) return;
    const rest = setTimeout(() => scene.viewer.draw(at.clientWidth, at.clientHeight, finestRatio), restMs);
    return () => clearTimeout(rest);
  }, [scene, turn, cloth, paint, blade, dress]);

  const drawn = typeof scene === 'object';
  return (
    <div className="relative aspect-[21/20] w-full overflow-hidden bg-white">
      {!drawn && (
        <div className="absolute inset-0">
          <ClothPicture cloth={cloth} paint={paint} title={title} blade={blade} turn={turn} onTurn={onTurn} />
        </div>
      )}
      {scene !== 'none' && (
        <canvas
          ref={canvas}
          {...(drawn ? turning : { 'aria-hidden': true })}
          data-drawn={drawn}
          className={`absolute inset-0 h-full w-full touch-pan-y outline-offset-[-3px] focus-visible:outline-3 focus-visible:outline-set ${drawn ? 'cursor-grab' : 'pointer-events-none'}`}
        />
      )}
    </div>
  );
}
