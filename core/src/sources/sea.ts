import { recalled, type Source } from './source';

/** Sources of charts, streams and waves. */
export const SEA = {
  'your-chart': {
    title: 'Shore and depths as they were drawn or loaded by you: a sketch, not for navigation',
    publisher: 'You',
    how: 'common-practice',
    confidence: 'M',
    verified: false,
    noted: '2026-11-27',
  },
  'by-law': {
    title: 'What is allowed at a place, as you entered it; the local authority says what holds',
    publisher: 'The local authority, as told by you',
    how: 'common-practice',
    confidence: 'M',
    verified: false,
    noted: '2026-11-27',
  },
  'under-keel': recalled(
    'Water needed: charted depth + tide − draught, and a third to half a metre to spare',
    'Handbooks of small-craft navigation',
    undefined,
  ),
  'stream-turns': recalled(
    'A stream between slack and strongest: a sine of the time, by which tables of streams are read',
    'Handbooks of navigation',
    undefined,
    'M',
  ),
  'stream-hours': recalled(
    'Streams by hours before and after high water, between neaps and springs by the range',
    'Tidal atlases and handbooks of navigation',
    undefined,
  ),
  'stream-constants': {
    title: 'Harmonic prediction of a stream along its axis, with Schureman node factors',
    publisher: 'Computed by constituents of the package @neaps/tide-predictor',
    how: 'run-here',
    confidence: 'M',
    verified: true,
    noted: '2026-11-27',
  },
  triangle: {
    title: 'The triangle of speeds: through the water, of the water, over the ground',
    publisher: 'Geometry',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-27',
  },
  wmm: recalled(
    'World Magnetic Model 2025: the earth’s main field, and with it the variation of a compass',
    'NOAA and the British Geological Survey',
    '2025',
  ),
  'beach-run': {
    title: 'The edge of the water on a slope: change of height over the slope',
    publisher: 'Geometry',
    how: 'closed-form',
    confidence: 'H',
    verified: true,
    noted: '2026-11-27',
  },
  'spm-1984': recalled(
    'Shore Protection Manual, wave growth over a fetch; with it CEM 2002, Wilson 1965, SMB and JONSWAP 1973',
    'US Army Corps of Engineers and others',
    '4th edition, 1984',
  ),
  'waves-on-stream': recalled(
    'Changes in the form of short gravity waves on long waves and tidal currents, J. Fluid Mech.',
    'M. S. Longuet-Higgins and R. W. Stewart',
    '1961',
  ),
} as const satisfies Record<string, Source>;
