import { kmeans } from 'ml-kmeans';
import type { ColourShare } from './cloth.ts';
import { colourDifference, type Lab } from './compare.ts';
import { formatHex, toLab } from './culori.ts';

/** More than this adds nothing to a palette. */
const mostSamples = 12_000;
const clusters = 7;
const rounds = 12;
/** Colours nearer than this (CIEDE2000) are one colour of a cloth, lit differently. */
const sameColour = 11;
/** Less of the picture than this is a thread or a speck. */
const leastShare = 0.03;
/** Under this opacity a pixel shows what is behind it. */
const seeThrough = 128;

/**
 * The main colours of a picture of cloth, most of it first, at most `most` of them, with shares
 * that make up 1. `pixels` are RGBA bytes. k-means in CIELAB (Lloyd), seeded by the farthest
 * point so that the same picture always gives the same palette; near colours are put together.
 * Empty for a picture without opaque pixels.
 */
export function paletteOf(pixels: Uint8ClampedArray, most = 4): ColourShare[] {
  const samples = sampled(pixels);
  if (samples.length === 0) return [];
  const merged = merge(cluster(samples));
  const kept = merged.filter(({ count }) => count >= leastShare * samples.length).slice(0, most);
  const total = kept.reduce((sum, { count }) => sum + count, 0);
  return kept.map(({ centre, count }) => ({
    colour: formatHex({ mode: 'lab65', l: centre.lightness, a: centre.a, b: centre.b }),
    share: count / total,
  }));
}

function sampled(pixels: Uint8ClampedArray): Lab[] {
  const count = Math.floor(pixels.length / 4);
  const step = Math.max(1, Math.floor(count / mostSamples));
  const samples: Lab[] = [];
  for (let i = 0; i < count; i += step) {
    const at = 4 * i;
    if ((pixels[at + 3] ?? 0) < seeThrough) continue;
    const { l, a, b } = toLab({
      mode: 'rgb',
      r: (pixels[at] ?? 0) / 255,
      g: (pixels[at + 1] ?? 0) / 255,
      b: (pixels[at + 2] ?? 0) / 255,
    });
    samples.push({ lightness: l, a, b });
  }
  return samples;
}

interface Cluster {
  readonly centre: Lab;
  readonly count: number;
}

function distance2(one: Lab, other: Lab): number {
  return (one.lightness - other.lightness) ** 2 + (one.a - other.a) ** 2 + (one.b - other.b) ** 2;
}

function cluster(samples: readonly Lab[]): Cluster[] {
  const centres = farthestFirst(samples);
  const { clusters: of, centroids } = kmeans(samples.map(asPoint), centres.length, {
    initialization: centres.map(asPoint),
    maxIterations: rounds,
  });
  const counts = new Array<number>(centroids.length).fill(0);
  for (const at of of) counts[at] = (counts[at] ?? 0) + 1;
  return centroids.map(([lightness = 0, a = 0, b = 0], i) => ({ centre: { lightness, a, b }, count: counts[i] ?? 0 }));
}

function asPoint({ lightness, a, b }: Lab): number[] {
  return [lightness, a, b];
}

function farthestFirst(samples: readonly Lab[]): Lab[] {
  const [first] = samples;
  if (!first) return [];
  const centres: Lab[] = [first];
  const far = samples.map((sample) => distance2(sample, first));
  while (centres.length < clusters) {
    const at = far.reduce((best, value, i) => (value > (far[best] ?? 0) ? i : best), 0);
    const next = samples[at];
    if (!next || (far[at] ?? 0) === 0) break;
    centres.push(next);
    samples.forEach((sample, i) => {
      far[i] = Math.min(far[i] ?? 0, distance2(sample, next));
    });
  }
  return centres;
}

/** Puts near colours together, the larger taking the smaller in, until all stand apart; most of the cloth first. */
function merge(all: readonly Cluster[]): Cluster[] {
  const kept: Cluster[] = [];
  for (const each of all.filter(({ count }) => count > 0).toSorted((a, b) => b.count - a.count)) {
    const at = kept.findIndex(({ centre }) => colourDifference(centre, each.centre) < sameColour);
    const into = kept[at];
    if (!into) kept.push(each);
    else kept[at] = { centre: mean(into, each), count: into.count + each.count };
  }
  return kept.toSorted((a, b) => b.count - a.count);
}

function mean(one: Cluster, other: Cluster): Lab {
  const total = one.count + other.count;
  const part = (key: keyof Lab) => (one.centre[key] * one.count + other.centre[key] * other.count) / total;
  return { lightness: part('lightness'), a: part('a'), b: part('b') };
}
