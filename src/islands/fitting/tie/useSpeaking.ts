import { useEffect, useRef, useState } from 'react';
import { type Voice, voiceOf } from '../../device/voice.ts';

/** Says a text whenever it changes, while it is wanted; what a browser without a voice would say is written. */
export function useSpeaking(text: string): {
  readonly speaks: boolean;
  readonly setSpeaks: (on: boolean) => void;
  readonly written: string;
} {
  const [speaks, setSpeaks] = useState(false);
  const [written, setWritten] = useState('');
  const voice = useRef<Voice>(undefined);
  useEffect(() => {
    if (!speaks) return voice.current?.hush();
    voice.current ??= voiceOf(setWritten);
    voice.current.say(text);
  }, [speaks, text]);
  useEffect(() => () => voice.current?.hush(), []);
  return { speaks, setSpeaks, written };
}
