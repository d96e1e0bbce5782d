import { later } from '../../ui/later';

/** The form of a thing comes with the first page that has one: no reading screen waits for it. */
export const ThingForm = later(() => import('./form').then((m) => m.ThingForm));
