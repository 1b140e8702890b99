import { MEDIA } from '@urbild/core';
import { Dices } from 'lucide-react';
import type { MixSettings, Take } from '../../api/client';
import { Tip } from '../../parts/Tip';
import { NumberField } from './NumberField';
import { StartSettings } from './StartSettings';

const ASPECTS: readonly MixSettings['aspect'][] = ['3:2', '2:3', '1:1', '4:3', '3:4', '16:9', '2:1'];
const box = 'flex items-center rounded-lg border border-line bg-card px-2.5 py-1';
const cell = `${box} gap-2`;

interface NumberCellProps {
  readonly word: string;
  readonly tip: string;
  readonly label: string;
  readonly value: number;
  readonly max: number;
  readonly onSave: (value: number) => void;
}

/** One number in tenths, with what it does. */
function NumberCell({ word, tip, label, value, max, onSave }: NumberCellProps) {
  return (
    <div className={cell}>
      <Tip text={tip}>
        <span className="text-muted">{word}</span>
      </Tip>
      <NumberField
        label={label}
        value={value}
        max={max}
        step={0.1}
        digits={1}
        onSave={onSave}
        className="w-full text-right"
      />
    </div>
  );
}

/** The settings of a mix besides words and influences. */
export function Settings({
  settings,
  avoid,
  onChange,
  onAvoid,
  take,
  onMask,
}: {
  settings: MixSettings;
  avoid: string;
  onChange: (settings: MixSettings) => void;
  onAvoid: (avoid: string) => void;
  take: Take | undefined;
  onMask: () => void;
}) {
  return (
    <section aria-label="Settings" className="flex flex-col gap-1.5">
      <h2 className="text-sm font-semibold text-muted">Settings</h2>
      <div className="grid grid-cols-2 gap-1.5">
        <label className={cell}>
          <span className="text-muted">Plate</span>
          <select
            aria-label="Aspect of the plate"
            className="figures flex-1 bg-transparent text-right"
            value={settings.aspect}
            onChange={(e) => onChange({ ...settings, aspect: e.target.value as MixSettings['aspect'] })}
          >
            {ASPECTS.map((a) => (
              <option key={a} value={a}>
                {a.replace(':', ' : ')}
              </option>
            ))}
          </select>
        </label>
        <NumberCell
          word="Balance"
          tip="Multiplies all references against the words; 1 is neutral"
          label="Balance of references against the words"
          value={settings.balance}
          max={2}
          onSave={(balance) => onChange({ ...settings, balance })}
        />
        <div className={`${box} col-span-2 gap-1`}>
          <span className="text-muted">Seed</span>
          <NumberField
            label="Seed"
            value={settings.seed}
            max={4294967295}
            step={1}
            digits={0}
            onSave={(seed) => onChange({ ...settings, seed: Math.round(seed) })}
            className="w-full text-right"
          />
          <Tip text="Another seed: another picture of the same words">
            <button
              type="button"
              aria-label="Another seed"
              className="rounded p-0.5 text-muted hover:text-ink"
              onClick={() => onChange({ ...settings, seed: Math.floor(Math.random() * 10000) })}
            >
              <Dices size={16} aria-hidden />
            </button>
          </Tip>
          <Tip text="How freely the seed composes: at 0 every seed gives the same composition, at 1 each its own">
            <span className="border-l border-line pl-1.5 text-muted">Spread</span>
          </Tip>
          <NumberField
            label="Spread of compositions"
            value={settings.spread ?? 1}
            max={1}
            step={0.1}
            digits={1}
            onSave={(spread) => onChange({ ...settings, spread })}
            className="w-6 shrink-0 text-right"
          />
        </div>
        <NumberCell
          word="Strict"
          tip="How strictly traits and forms that the words name hold against references"
          label="Strictness of the words"
          value={settings.strictness ?? 0.5}
          max={1}
          onSave={(strictness) => onChange({ ...settings, strictness })}
        />
        <NumberCell
          word="Ornate"
          tip="How ornate the painter draws: 0 leaves small things out, 1 lays small marks along wide forms"
          label="Ornateness"
          value={settings.ornateness ?? 0.5}
          max={1}
          onSave={(ornateness) => onChange({ ...settings, ornateness })}
        />
        <label className={`${cell} col-span-2`}>
          <Tip text="What the stage is drawn in, before looks are laid over it">
            <span className="text-muted">Medium</span>
          </Tip>
          <select
            aria-label="Medium of the stage"
            className="min-w-0 flex-1 bg-transparent text-right"
            value={settings.medium ?? ''}
            onChange={(e) => {
              const { medium: _, ...rest } = settings;
              onChange(e.target.value ? { ...rest, medium: e.target.value as MixSettings['medium'] } : rest);
            }}
          >
            <option value="">as words and looks ask</option>
            {MEDIA.map((m) => (
              <option key={m}>{m}</option>
            ))}
          </select>
        </label>
        <StartSettings settings={settings} take={take} onChange={onChange} onMask={onMask} />
        <label className={`${cell} col-span-2`}>
          <span className="shrink-0 text-muted">Without</span>
          <input
            key={avoid}
            aria-label="Words to avoid"
            defaultValue={avoid}
            maxLength={1000}
            placeholder="what shall not appear"
            onBlur={(e) => e.target.value !== avoid && onAvoid(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
            className="w-full bg-transparent"
          />
        </label>
      </div>
    </section>
  );
}
