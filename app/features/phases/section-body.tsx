import type { ComponentType } from 'react';
import type { SectionId } from '@escale/core/model';
import { BoatSection } from '../plan/boat-section';
import { DaySection } from '../plan/day-section';
import { WaterSection } from '../plan/water-section';
import { FloatPlanSection } from '../pack/float-plan-section';
import { KitSection } from '../pack/kit-section';
import { ReadySection } from '../pack/ready-section';
import { CloseSection } from '../home/close-section';
import { Guard } from '../../ui/guard';
import { later } from '../../ui/later';
import { withProcedures } from '../../data/procedures';
import { Broken } from '../mishap/broken';

const steps = () => withProcedures(import('../go/procedure-sections'));
const LaunchSection = later(() => steps().then((m) => m.LaunchSection));
const UnderWay = later(() => withProcedures(import('../go/under-way')).then((m) => m.UnderWay));
const RetrieveSection = later(() => steps().then((m) => m.RetrieveSection));
const TroubleSection = later(() =>
  withProcedures(import('../trouble/trouble-section')).then((m) => m.TroubleSection),
);
const HoldSection = later(() => withProcedures(import('../hold/pages')).then((m) => m.HoldSection));
const DebriefSection = later(() => import('../debrief/pages').then((m) => m.DebriefSection));
const AfterSection = later(() => import('../home/after-section').then((m) => m.AfterSection));
const LoadSection = later(() => import('../load/load-section').then((m) => m.LoadSection));

const BODY: Partial<Record<SectionId, ComponentType>> = {
  'plan/boat': BoatSection,
  'plan/water': WaterSection,
  'plan/day': DaySection,
  'pack/kit': KitSection,
  'pack/load': LoadSection,
  'pack/ready': ReadySection,
  'pack/float-plan': FloatPlanSection,
  'go/launch': LaunchSection,
  'go/under-way': UnderWay,
  'go/hold': HoldSection,
  'go/trouble': TroubleSection,
  'home/retrieve': RetrieveSection,
  'home/close': CloseSection,
  'home/debrief': DebriefSection,
  'home/after': AfterSection,
};

/** What can be read and changed in a section. */
export function SectionBody({ id }: { id: SectionId }) {
  const Body = BODY[id];
  // One section that fails leaves the trip standing, and the words for help.
  return Body ? (
    <Guard key={id} instead={(error, retry) => <Broken error={error} retry={async () => retry()} />}>
      <Body />
    </Guard>
  ) : null;
}
