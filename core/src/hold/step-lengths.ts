import type { Schedule } from '../model';
import { overStay, deepest, bestOf } from './find-holds';
import { radiusOf } from './find-swing';
import { fasteningOf, heightOver } from './held';
import { needed, rodeOf } from './line';
import { anchorsAboard, atStay, lyingOn, type OnHold } from './on-hold';
import { soundingOf, staysOf } from './stay';

/** What steps of anchoring name, metres: line to let out and her circle; of the first halt at which an anchor holds her, and no guess. */
export function stepLengths(
  on: OnHold,
  schedule: Schedule | undefined,
): { rode?: number | undefined; swing?: number | undefined } {
  const stay =
    schedule && staysOf(on.trip.halts, on.places, schedule).find(({ halt }) => halt.hold === 'anchor');
  const lying = stay && lyingOn(on);
  if (!stay || !lying || lying.guessed || soundingOf(stay.place, on.water)?.least !== false) return {};
  const at = atStay(on, stay, lying);
  const deep = deepest(at);
  if (!deep) return {};
  const best = bestOf(
    anchorsAboard(on).map((item) => overStay(at, item)),
    stay.halt.anchor,
  );
  const usual = needed('usual', heightOver(lying, fasteningOf(lying, stay.halt.fast ?? 'bow'), deep.depth));
  // More than there is nobody lets out; that it is too little is found elsewhere.
  const rode = best && rodeOf(best.item);
  return {
    rode: rode ? Math.min(usual, rode.line + rode.chain) : usual,
    swing: best && radiusOf(best),
  };
}
