import { axisFault, axisKind, evenly, leaveOneOut, MOST_VALUES, type AxisSetting } from '@urbild/core';
import { useState } from 'react';
import type { Mix, Take } from '../../api/client';
import { useCast, useLooks } from '../../api/sheets';
import type { StripAxis } from '../../api/trials';
import { Button } from '../../parts/Button';
import type { Lookup } from '../../shared/mix/lookup';
import { axisName, firstAxis, numbersIn, rangeOf, settingsFor } from './axisForm';
import { SwapChoice } from './SwapChoice';

const field = 'w-full rounded-lg border border-line bg-card px-2 py-1';

interface Props {
  readonly mix: Mix;
  readonly lookup: Lookup;
  readonly busy: boolean;
  readonly onMake: (axes: StripAxis[], quality: Take['quality']) => void;
}

/** Says what a strip steps through: one setting, or two for a table. */
export function StripMaker({ mix, lookup, busy, onMake }: Props) {
  const [across, setAcross] = useState<StripAxis>(() => firstAxis(mix.influences.length ? 'weight' : 'seed', mix));
  const [down, setDown] = useState<StripAxis | undefined>(undefined);
  const axes = down ? [across, down] : [across];
  const fault = axes.map((a) => axisFault(a, mix)).find(Boolean);
  const cells = axes.reduce((n, a) => n * a.values.length, 1);
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const eachPicture = () => {
    const pictures = Object.fromEntries(
      mix.influences.map((i) => [
        i.id,
        [...(looks ?? []), ...(cast ?? [])].find((s) => s.id === i.referenceId)?.items.map((p) => p.referenceId) ?? [],
      ]),
    );
    const { setting, values } = leaveOneOut(mix, pictures);
    onMake([{ setting, values: [...values] }], 'draft');
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!fault) onMake(axes, 'draft');
      }}
    >
      <AxisFields title="Step through" axis={across} mix={mix} lookup={lookup} onChange={setAcross} />
      {down ? (
        <>
          <AxisFields title="and, row by row, through" axis={down} mix={mix} lookup={lookup} onChange={setDown} />
          <button type="button" className="self-start text-sm underline" onClick={() => setDown(undefined)}>
            Only one axis
          </button>
        </>
      ) : (
        <button type="button" className="self-start text-sm underline" onClick={() => setDown(firstAxis('seed', mix))}>
          Add a second axis
        </button>
      )}
      <p aria-live="polite" className="text-sm text-muted">
        {fault ?? `${cells} ${cells === 1 ? 'draft' : 'drafts'}, control first`}
      </p>
      <Button look="main" type="submit" disabled={!!fault || busy}>
        Render the strip
      </Button>
      {mix.influences.length > 0 && (
        <Button onClick={eachPicture} disabled={busy}>
          Leave one out, each in turn
        </Button>
      )}
    </form>
  );
}

interface AxisProps {
  readonly title: string;
  readonly axis: StripAxis;
  readonly mix: Mix;
  readonly lookup: Lookup;
  readonly onChange: (axis: StripAxis) => void;
}

function AxisFields({ title, axis, mix, lookup, onChange }: AxisProps) {
  const { setting } = axis;
  const { ofInfluence } = axisKind(setting);
  const influences = (label: string, value: string | undefined, set: (id: string) => void) => (
    <select aria-label={label} className={field} value={value} onChange={(e) => set(e.target.value)}>
      {mix.influences.map((i) => (
        <option key={i.id} value={i.id}>
          {lookup.name(i)}
        </option>
      ))}
    </select>
  );
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="pb-1 text-sm font-semibold text-muted">{title}</legend>
      <select
        aria-label={`${title}: setting`}
        className={field}
        value={setting}
        onChange={(e) =>
          onChange(firstAxis(e.target.value as AxisSetting, mix, axis.influence ?? mix.influences[0]?.id))
        }
      >
        {settingsFor(mix).map((s) => (
          <option key={s} value={s}>
            {axisName(s)}
          </option>
        ))}
      </select>
      {ofInfluence &&
        influences(`${title}: influence`, axis.influence, (influence) =>
          onChange(setting === 'swap' ? firstAxis('swap', mix, influence) : { ...axis, influence }),
        )}
      {setting === 'fade' && influences(`${title}: into`, axis.other, (other) => onChange({ ...axis, other }))}
      <Values axis={axis} mix={mix} onChange={onChange} />
    </fieldset>
  );
}

function Values({ axis, mix, onChange }: Pick<AxisProps, 'axis' | 'mix' | 'onChange'>) {
  const { setting, values } = axis;
  const { form } = axisKind(setting);
  const range = rangeOf(setting, mix);
  if (form.kind === 'choice')
    return (
      <div className="flex flex-wrap gap-1">
        {form.values.map((v) => (
          <button
            key={v}
            type="button"
            aria-pressed={values.includes(v)}
            onClick={() =>
              onChange({ ...axis, values: values.includes(v) ? values.filter((x) => x !== v) : [...values, v] })
            }
            className={`rounded-full border px-2 py-0.5 text-sm ${values.includes(v) ? 'border-ink bg-ink text-paper' : 'border-line hover:border-edge'}`}
          >
            {v}
          </button>
        ))}
      </div>
    );
  if (setting === 'words')
    return (
      <textarea
        aria-label="Words, one line for each cell"
        className={field}
        rows={5}
        defaultValue={values.join('\n')}
        onChange={(e) =>
          onChange({
            ...axis,
            values: e.target.value
              .split('\n')
              .map((l) => l.trim())
              .filter(Boolean)
              .slice(0, MOST_VALUES),
          })
        }
      />
    );
  if (setting === 'swap') return <SwapChoice axis={axis} mix={mix} onChange={onChange} />;
  if (setting === 'without') return <p className="text-sm text-muted">The whole mix, then without each influence.</p>;
  return (
    <div className="flex gap-1.5">
      <input
        key={setting + axis.influence}
        aria-label="Values"
        className={`${field} figures`}
        defaultValue={values.join(', ')}
        onChange={(e) => onChange({ ...axis, values: numbersIn(e.target.value).slice(0, MOST_VALUES) })}
      />
      {range && (
        <select
          aria-label="Even steps"
          className="w-24 rounded-lg border border-line bg-card px-1"
          value=""
          onChange={(e) => {
            const [low, high] = range;
            onChange({ ...axis, values: evenly(low, high, Number(e.target.value)) });
            const input = e.target.parentElement!.querySelector('input')!;
            input.value = evenly(low, high, Number(e.target.value)).join(', ');
          }}
        >
          <option value="" disabled>
            {values.length} steps
          </option>
          {[3, 4, 5, 7, 9].map((n) => (
            <option key={n} value={n}>
              {n} steps
            </option>
          ))}
        </select>
      )}
    </div>
  );
}
