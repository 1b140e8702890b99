import { drawn, line, type Desk, type ForeignPicture } from './sheet';

const dress = ({ g, w, h }: Desk, colour: string, x = 0.5) => {
  g.fillStyle = colour;
  g.beginPath();
  g.moveTo((x - 0.12) * w, 0.62 * h);
  g.lineTo((x + 0.12) * w, 0.62 * h);
  g.lineTo((x + 0.3) * w, h);
  g.lineTo((x - 0.3) * w, h);
  g.fill();
};

/** A simple drawn face on a plain ground: warm brown skin, black bob, a teal dress. */
export const drawnFace = (w = 400, h = 480): ForeignPicture =>
  drawn('drawn face', w, h, '#e8e4da', (d) => {
    const { g } = d;
    g.fillStyle = '#1c1a1e';
    g.beginPath();
    g.ellipse(w * 0.5, h * 0.36, w * 0.27, h * 0.27, 0, 0, 7);
    g.fill();
    dress(d, '#1f7d86');
    g.fillStyle = '#a9683e';
    g.fillRect(w * 0.44, h * 0.54, w * 0.12, h * 0.11);
    g.beginPath();
    g.ellipse(w * 0.5, h * 0.42, w * 0.19, h * 0.19, 0, 0, 7);
    g.fill();
    g.fillStyle = '#2a1a14';
    for (const x of [0.42, 0.58]) {
      g.beginPath();
      g.ellipse(w * x, h * 0.42, 8, 10, 0, 0, 7);
      g.fill();
    }
    g.strokeStyle = '#7c2f2c';
    g.lineWidth = 6;
    g.beginPath();
    g.arc(w * 0.5, h * 0.49, 22, 0.3, 2.84);
    g.stroke();
  });

/** Where the face of {@link drawnFace} lies. */
export const DRAWN_FACE = { eyes: [0.5, 0.42], chin: [0.5, 0.61], yaw: 0 } as const;

/** The joints of a dancer, as parts of a square picture: one arm up, one leg out. */
export const DANCER = {
  nose: [0.5, 0.2],
  leftShoulder: [0.57, 0.3],
  rightShoulder: [0.43, 0.3],
  leftElbow: [0.66, 0.2],
  leftWrist: [0.68, 0.08],
  rightElbow: [0.32, 0.36],
  rightWrist: [0.22, 0.3],
  leftHip: [0.54, 0.52],
  rightHip: [0.46, 0.52],
  leftKnee: [0.66, 0.64],
  leftAnkle: [0.78, 0.76],
  rightKnee: [0.46, 0.72],
  rightAnkle: [0.45, 0.92],
} as const;

/** The dancer as a stick figure. */
export const stickDancer = (side = 400): ForeignPicture =>
  drawn('stick dancer', side, side, '#f4f4f2', (d) => {
    const { g } = d;
    g.strokeStyle = '#303a52';
    g.lineWidth = 12;
    const at = (name: keyof typeof DANCER): [number, number] => [DANCER[name][0] * side, DANCER[name][1] * side];
    for (const s of ['left', 'right'] as const) {
      line(d, [at(`${s}Shoulder`), at(`${s}Elbow`), at(`${s}Wrist`)]);
      g.stroke();
      line(d, [at(`${s}Shoulder`), at(`${s}Hip`), at(`${s}Knee`), at(`${s}Ankle`)]);
      g.stroke();
    }
    g.beginPath();
    g.arc(...at('nose'), 34, 0, 7);
    g.stroke();
  });

/** A red kettle on white. */
export const redKettle = (w = 360, h = 320): ForeignPicture =>
  drawn('red kettle', w, h, '#fbfbf9', (d) => {
    const { g } = d;
    g.strokeStyle = '#3a1a18';
    g.lineWidth = 12;
    g.beginPath();
    g.arc(w * 0.5, h * 0.36, 70, 3.3, 6.1);
    g.stroke();
    g.fillStyle = '#c22a26';
    g.beginPath();
    g.ellipse(w * 0.5, h * 0.62, w * 0.28, h * 0.27, 0, 0, 7);
    g.fill();
    line(
      d,
      [
        [w * 0.7, h * 0.6],
        [w * 0.9, h * 0.36],
        [w * 0.94, h * 0.4],
        [w * 0.78, h * 0.72],
      ],
      true,
    );
    g.fill();
    g.fillStyle = '#f0d9a0';
    g.fillRect(w * 0.24, h * 0.56, w * 0.52, h * 0.07);
    g.fillStyle = '#e77a68';
    g.beginPath();
    g.ellipse(w * 0.4, h * 0.5, 22, 12, -0.5, 0, 7);
    g.fill();
  });
