/** Three links and a panhard bar from above and behind, as a sketch on the dye. */
export function LayoutDrawing() {
  return (
    <svg viewBox="0 0 160 104" width="160" height="104" aria-hidden>
      <rect width="160" height="104" rx="3" fill="#14264A" />
      <g fill="none" stroke="#E07A55" strokeWidth="2">
        <path d="M48 6 V98 M112 6 V98" />
      </g>
      <g fill="#2a4069" stroke="#B9C6D3" strokeWidth="1.5">
        <rect x="12" y="44" width="18" height="48" rx="5" />
        <rect x="130" y="44" width="18" height="48" rx="5" />
        <rect x="30" y="64" width="100" height="7" />
        <circle cx="80" cy="67" r="12" />
      </g>
      <g stroke="#F6F0DF" strokeWidth="3.5" strokeLinecap="round">
        <path d="M44 66 L50 20 M116 66 L110 20 M77 60 V26" />
        <path d="M50 86 H112" />
      </g>
      <g fill="#14264A" stroke="#F6F0DF" strokeWidth="1.5">
        {[
          [44, 66],
          [50, 20],
          [116, 66],
          [110, 20],
          [77, 60],
          [77, 26],
          [50, 86],
          [112, 86],
        ].map(([x, y]) => (
          <circle key={`${x} ${y}`} cx={x} cy={y} r="3.4" />
        ))}
      </g>
    </svg>
  );
}
