import { useEffect, useRef, useState } from 'react';
import type { SeenCloth } from '../../core/cloth/mesh/compact.ts';
import { frameFrom, type Seat } from '../../core/guide/seat.ts';
import { swapsSides } from '../../core/knot/frame.ts';
import { tyingPaintRequest } from '../../core/seen/paintRequest.ts';
import { paintCloth } from '../../core/seen/picture.ts';
import type { TyingDress, TyingScene } from '../../scene/TyingScene.ts';
import { useTurning } from './useTurning.ts';

export type { TyingDress };

interface TyingPictureProps {
  readonly frame: SeenCloth;
  readonly collar: 'raised' | 'down';
  readonly dress: TyingDress;
  readonly seat: Seat;
  /** What is seen, in words. */
  readonly title: string;
  readonly turn: number;
  readonly onTurn: (degrees: number) => void;
  /** 1 at the usual distance, larger nearer. */
  readonly near: number;
  /** Whether the next frame follows at once: then it is drawn in the screen's own pixels. */
  readonly isMoving: boolean;
  /** A tap, not a drag. */
  readonly onTap?: () => void;
}

/** A pointer that comes no further than this has tapped, px. */
const tapPx = 6;

const finestRatio = 2;
const restMs = 250;

/**
 * The tie in the hands at one moment, around the collar, to be turned. What draws it in light and shadow is fetched when the picture is
 * first shown; until then, and where the browser cannot draw so, the cloth alone is painted from the same mesh.
 */
export function TyingPicture({ frame, collar, dress, seat, title, turn, onTurn, near, isMoving, onTap }: TyingPictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [scene, setScene] = useState<TyingScene | 'none'>();
  const [size, setSize] = useState(0);
  const turning = useTurning(title, turn, onTurn);
  const pressed = useRef<readonly [x: number, y: number]>(undefined);
  useEffect(() => {
    const at = canvas.current;
    if (!at) return;
    let made: TyingScene | undefined;
    let gone = false;
    import('../../scene/TyingScene.ts')
      .then(({ TyingScene }) => {
        if (gone) return;
        made = new TyingScene(at);
        setScene(made);
      })
      .catch(() => setScene('none'));
    const sized = new ResizeObserver(() => setSize(at.clientWidth * 10_000 + at.clientHeight));
    sized.observe(at);
    return () => {
      gone = true;
      sized.disconnect();
      made?.viewer.dispose();
    };
  }, []);
  useEffect(() => {
    if (typeof scene === 'object') scene.wear(dress, seat);
  }, [scene, dress, seat]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: dressed anew, seen from elsewhere or in another size it is drawn anew.
  useEffect(() => {
    const at = canvas.current;
    if (typeof scene !== 'object' || !at || at.clientWidth === 0) return;
    scene.look(seat, near);
    scene.lay(frame, collar);
    scene.viewer.turn(turn);
    const ratio = Math.min(finestRatio, devicePixelRatio);
    scene.viewer.draw(at.clientWidth, at.clientHeight, ratio);
    if (ratio === finestRatio || isMoving) return;
    const rest = setTimeout(() => scene.viewer.draw(at.clientWidth, at.clientHeight, finestRatio), restMs);
    return () => clearTimeout(rest);
  }, [scene, frame, collar, dress, seat, turn, near, size, isMoving]);
  const isDrawn = typeof scene === 'object';
  return (
    <div className="relative min-h-64 w-full grow overflow-hidden bg-[#cfd8de]">
      {!isDrawn && <Painted frame={frame} dress={dress} seat={seat} turn={turn} />}
      <canvas
        ref={canvas}
        {...turning}
        onPointerDown={(event) => {
          pressed.current = [event.clientX, event.clientY];
          turning.onPointerDown(event);
        }}
        onPointerUp={(event) => {
          turning.onPointerUp();
          const [x, y] = pressed.current ?? [0, 0];
          if (pressed.current && Math.hypot(event.clientX - x, event.clientY - y) < tapPx) onTap?.();
          pressed.current = undefined;
        }}
        aria-label={title}
        data-drawn={isDrawn}
        className="absolute inset-0 h-full w-full cursor-grab touch-pan-y outline-offset-[-3px] focus-visible:outline-3 focus-visible:outline-set"
      />
    </div>
  );
}

/** The blade's side that makes a painting look as it does from a seat: from behind the same sides are seen as in a mirror. */
export function mirroredBlade(seat: Seat, blade: 'left' | 'right'): 'left' | 'right' {
  return swapsSides(frameFrom(seat, blade)) ? 'right' : 'left';
}

const painted = { widthPx: 480, heightPx: 480, heightMm: 320 } as const;

function Painted({ frame, dress, seat, turn }: Pick<TyingPictureProps, 'frame' | 'dress' | 'seat' | 'turn'>) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const image = context.createImageData(painted.widthPx, painted.heightPx);
    image.data.set(paintCloth(frame, tyingPaintRequest(dress.paint, painted, turn, mirroredBlade(seat, dress.blade))));
    context.putImageData(image, 0, 0);
  }, [frame, dress, seat, turn]);
  return (
    <div aria-hidden="true" className="absolute inset-0">
      <canvas ref={canvas} width={painted.widthPx} height={painted.heightPx} className="m-auto h-full max-w-full object-contain" />
    </div>
  );
}
