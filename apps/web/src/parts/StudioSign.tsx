/** The studio's sign: a picture that lies on its frame; `size` in px. */
export const StudioSign = ({ size }: { size: number }) => (
  <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true">
    <path d="M3 3h13v5h-2V5H5v9h3v2H3z" className="fill-ink" />
    <rect x="10" y="10" width="11" height="11" className="fill-cinnabar" />
  </svg>
);
