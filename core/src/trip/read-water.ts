import file from '../../data/practice/signs.json';
import type { Finding } from '../model';
import { LEVELS } from '../model/lists';
import { worstLevel } from '../verdict';
import { hangs } from './alike';

// Reading the water before Escale does: somebody says go or not, and names what made them say so. Both are laid side by side.

export type Sign = (typeof file.rows)[number]['id'];
export const SIGNS: readonly { id: Sign; word: string; kinds: readonly string[] }[] = file.rows;

/** What somebody said of an hour. */
export interface Reading {
  go: boolean;
  signs: readonly Sign[];
}

/** One sign: whether they named it, and what Escale has of it, the worst first. */
export interface Side {
  id: Sign;
  word: string;
  named: boolean;
  /** Escale would not go as it is, for this. */
  against: boolean;
  findings: Finding[];
}

export interface Read {
  /** Nothing that the hours bring stops her or is to be mended. */
  go: boolean;
  /** Something of it is open: nobody has said or measured it. */
  open: boolean;
  agree: boolean;
  /** What both have against it; what they left out; what they named and Escale does not mind. */
  both: Side[];
  missed: Side[];
  only: Side[];
}

/** Finds the sign that a finding belongs to, by its kind. */
const signOf = (id: string) =>
  SIGNS.find(({ kinds }) => kinds.some((kind) => id === kind || id.startsWith(`${kind}/`)));

const weight = ({ level }: Finding) => LEVELS.indexOf(level);
const AGAINST: ReadonlySet<string> = new Set(['stop', 'fix']);

/** Lays what somebody said beside the findings of that hour; kit and papers are not read off the water. */
export function readAgainst(findings: readonly Finding[], said: Reading): Read {
  const ofDay = findings.filter(hangs);
  const sides = SIGNS.map(({ id, word }): Side => {
    const mine = ofDay
      .filter((finding) => signOf(finding.id)?.id === id)
      .sort((a, b) => weight(a) - weight(b));
    return {
      id,
      word,
      named: said.signs.includes(id),
      against: AGAINST.has(worstLevel(mine)),
      findings: mine,
    };
  });
  const go = sides.every(({ against }) => !against);
  return {
    go,
    open: ofDay.some(({ open }) => open === true),
    agree: go === said.go,
    both: sides.filter((side) => side.named && side.against),
    missed: sides.filter((side) => !side.named && side.against),
    only: sides.filter((side) => side.named && !side.against),
  };
}
