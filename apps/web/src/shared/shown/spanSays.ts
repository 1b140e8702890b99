/** What a span does; its two ends are settings of their own, each with its own sentence. */
export const SPAN_SAYS =
  'Where on the course it pulls: early it decides forms and colours, late only strokes and surface';
