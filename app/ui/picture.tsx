/** A picture, as the browser draws it: cut to a square, or whole within a height. */
export function Picture({
  src,
  alt,
  square,
  high,
}: {
  src: string;
  alt: string;
  square?: number;
  high?: number;
}) {
  return (
    <img
      src={src}
      alt={alt}
      style={
        square === undefined
          ? { display: 'block', width: '100%', maxHeight: high, objectFit: 'contain' }
          : { display: 'block', width: square, height: square, objectFit: 'cover' }
      }
    />
  );
}
