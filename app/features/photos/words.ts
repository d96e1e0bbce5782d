/** Photos of things, parts and openings. */
export const PHOTOS = {
  title: 'Photos',
  add: 'Take or choose a photo',
  addOf: 'Take or choose a photo of {what}',
  busy: 'Making it small',
  of: 'Photo of {what}, {at:day} {at:clock}',
  when: '{at:day} {at:clock}',
  waits: 'not on this device yet',
  drop: 'Take it away',
  close: 'Close',
  dropped: 'A photo of {what} taken away',
  kept: 'a photo of {what}',
  full: 'Three hundred photos are kept at most. Take some away first.',
  large: 'This picture is too large to be read here. Take it again, smaller, or choose another.',
  unread: 'This browser can’t read it as a picture. A photo as JPEG or PNG works.',
  failed: 'It could not be kept on this device.',
  small:
    'Made small here; where and when it was taken by the camera is left out. Kept with its hour, on every phone of the household.',
  shut: 'Seen shut',
  shutWhy:
    'Did I latch it? A photo of each plug and hatch, at home and at the water, answers that out there.',
  none: 'no photo yet',
} as const;
