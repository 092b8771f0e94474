import { type GuideStep, inWordsAlone } from '../../../core/guide/guide.ts';
import { type Seat, seats, sideFrom } from '../../../core/guide/seat.ts';
import { TyingPicture } from '../../seen/TyingPicture.tsx';
import { Loading } from '../../ui/Loading.tsx';
import type { TieNow } from './useTieNow.ts';

interface TieNowPictureProps {
  readonly now: TieNow;
  readonly step: GuideStep;
  readonly seat: Seat;
  readonly turn: number;
  readonly onTurn: (degrees: number) => void;
  readonly near: number;
  readonly isMoving: boolean;
  /** Where the picture is read from two metres, a tap on it goes on. */
  readonly onTap?: () => void;
}

/** The tie as it lies now, with both its sides named by whose they are. */
export function TieNowPicture({ now: { frame, collar, dress }, step, seat, onTap, ...looking }: TieNowPictureProps) {
  return (
    <div className="relative flex min-h-0 grow flex-col">
      {frame ? (
        <TyingPicture
          {...{ frame, collar, dress, seat, ...looking }}
          title={`${step.title}, ${seats[seat].label}. ${inWordsAlone(step)}`}
          {...(onTap && { onTap })}
        />
      ) : (
        <div className="grow bg-[#cfd8de] p-8 text-[#16202a]">
          <Loading />
        </div>
      )}
      {(['left', 'right'] as const).map((side) => (
        <p
          key={side}
          aria-hidden="true"
          className={`pointer-events-none absolute top-2 max-w-[30%] text-[#16202a] ${onTap ? 'text-xl' : 'text-note'} ${side === 'left' ? 'left-2' : 'right-2 text-right'}`}
        >
          {sideFrom(seat, side)}
        </p>
      ))}
    </div>
  );
}
