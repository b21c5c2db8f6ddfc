import type { Scene } from './site-content.ts';

/** The colours of the landscape drawn for picture scenes: what may lie behind a header over it. */
export const LANDSCAPE = {
  sky: '#e9d9b8',
  sun: '#f6c667',
  hills: '#9fb6a0',
  water: '#5f8a86',
  shore: '#2f5b63',
  reeds: '#22403a',
} as const;

/** Every colour a scene shows as CSS literals, its ground first. */
export function sceneColours(scene: Scene): readonly string[] {
  return scene.kind === 'picture' ? [scene.ground, ...Object.values(LANDSCAPE)] : [scene.ground];
}
