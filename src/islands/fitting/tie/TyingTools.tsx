import { Maximize2, Pause, Play, Volume2, VolumeX, ZoomIn, ZoomOut } from 'lucide-react';
import { Tool } from '../../ui/Tool.tsx';

/** How near the picture can be looked at, from all of the tie to the crossing alone; 1 is usual. */
export const nears = [0.5, 0.7, 1, 1.4, 2] as const;
export const usualNear = 2;

interface TyingToolsProps {
  readonly speaks: boolean;
  readonly onSpeak: (on: boolean) => void;
  readonly isByItself: boolean;
  readonly onByItself: (on: boolean) => void;
  /** Which of {@link nears}. */
  readonly near: number;
  readonly onNear: (near: number) => void;
  readonly onLarge: () => void;
}

/** What helps while both hands are at the tie. */
export function TyingTools({ speaks, onSpeak, isByItself, onByItself, near, onNear, onLarge }: TyingToolsProps) {
  return (
    <span className="flex items-center">
      <Tool label={speaks ? 'Stop speaking' : 'Speak each step'} onPress={() => onSpeak(!speaks)}>
        {speaks ? <Volume2 aria-hidden className="size-5" /> : <VolumeX aria-hidden className="size-5" />}
      </Tool>
      <Tool label={isByItself ? 'Stop (Y)' : 'Go on by itself (Y)'} onPress={() => onByItself(!isByItself)}>
        {isByItself ? <Pause aria-hidden className="size-5" /> : <Play aria-hidden className="size-5" />}
      </Tool>
      <Tool label="Farther" onPress={near > 0 ? () => onNear(near - 1) : undefined}>
        <ZoomOut aria-hidden className="size-5" />
      </Tool>
      <Tool label="Nearer" onPress={near < nears.length - 1 ? () => onNear(near + 1) : undefined}>
        <ZoomIn aria-hidden className="size-5" />
      </Tool>
      <Tool label="In large, from two metres (W)" onPress={onLarge}>
        <Maximize2 aria-hidden className="size-5" />
      </Tool>
    </span>
  );
}
