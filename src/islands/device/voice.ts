/** Something that says what is to be done, while both hands are at the tie. */
export interface Voice {
  /** Says this instead of what it was saying. */
  say(text: string): void;
  hush(): void;
}

/** The browser's own voice; where it has none, one that writes what it would say: `onWritten` shows it. */
export function voiceOf(onWritten: (text: string) => void): Voice {
  const spoken = typeof speechSynthesis === 'undefined' ? undefined : speechSynthesis;
  return {
    say(text) {
      if (!spoken || spoken.getVoices().length === 0) return onWritten(text);
      spoken.cancel();
      const said = new SpeechSynthesisUtterance(text);
      said.lang = 'en-GB';
      said.rate = calmly;
      spoken.speak(said);
    },
    hush() {
      spoken?.cancel();
      onWritten('');
    },
  };
}

/** A little slower than a voice usually speaks. */
const calmly = 0.95;
