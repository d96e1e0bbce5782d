import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { inputOf, steady } from '../../test/demo';
import type { Finding } from '../model';
import { assess } from './assess';
import { readAgainst, SIGNS } from './read-water';

const finding = (id: string, level: Finding['level'], more: Partial<Finding> = {}): Finding => ({
  id,
  level,
  section: 'plan/day',
  varies: 'hour',
  title: { say: 'own', own: id },
  because: [],
  figures: [],
  assumed: [],
  ...more,
});

describe('reading the water', () => {
  test('each kind that the hour changes, kit aside, stands under one sign, and no sign names what is not there', () => {
    const folder = new URL('../../data/limits/', import.meta.url);
    const kinds = readdirSync(folder).flatMap((name) =>
      Object.entries(
        (
          JSON.parse(readFileSync(new URL(name, folder), 'utf8')) as {
            kinds: Record<string, { section: string; varies: string }>;
          }
        ).kinds,
      ),
    );
    const hours = kinds.flatMap(([kind, { section, varies }]) =>
      varies === 'hour' && !section.startsWith('pack/') ? [kind] : [],
    );
    expect(SIGNS.flatMap((sign) => sign.kinds).sort()).toEqual(hours.sort());
  });
  test('said go where the wind is over: they differ, and the wind was missed', () => {
    const read = readAgainst([finding('day/wind/1', 'stop'), finding('day/light/1', 'ready')], {
      go: true,
      signs: ['light'],
    });
    expect([read.go, read.agree]).toEqual([false, false]);
    expect(read.missed.map(({ id }) => id)).toEqual(['wind']);
    expect(read.only.map(({ id, findings }) => [id, findings.length])).toEqual([['light', 1]]);
  });
  test('the same answer for another reason is agreed, and what was missed is still told', () => {
    const read = readAgainst([finding('day/wind/1', 'fix'), finding('day/fog/1', 'fix')], {
      go: false,
      signs: ['wind'],
    });
    expect([read.agree, read.both.map(({ id }) => id), read.missed.map(({ id }) => id)]).toEqual([
      true,
      ['wind'],
      ['sky'],
    ]);
  });
  test('kit and papers are not on the water; what is open is told', () => {
    const kit = finding('kit/rule/1', 'stop', { section: 'pack/kit' });
    const never = finding('crew/age/1', 'stop', { varies: 'never' });
    expect(readAgainst([kit, never], { go: true, signs: [] })).toMatchObject({
      go: true,
      agree: true,
      open: false,
    });
    expect(readAgainst([finding('day/cold/1', 'know', { open: true })], { go: true, signs: [] }).open).toBe(
      true,
    );
  });
  test('on a real day: a gale is against going by wind, a calm is not', () => {
    const at = (wind: number) =>
      readAgainst(assess(inputOf(0, { forecast: steady({ wind, gust: 1.3 * wind }) })).findings, {
        go: true,
        signs: [],
      });
    expect(at(18).missed.map(({ id }) => id)).toContain('wind');
    expect(at(2).missed.map(({ id }) => id)).not.toContain('wind');
  });
});
