import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { floor, rules } from '../api/enumWords';
import { figures } from '../api/shopWide';
import { Fastener, fastenerWidthMm } from '../drawing/Fastener';
import { SideOutline } from '../drawing/SideOutline';
import { Act } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';

type Group = Schemas['FastenerGroup'];

const THREADLESS: readonly (Group['head'] | undefined)[] = rules.threadless;

/** One group of like fasteners: its data, and what it then looks like. */
export function FastenerRow({
  group,
  shape,
  question,
  side,
  change,
  remove,
}: {
  group: Group;
  shape?: Schemas['FastenerShape'];
  /** what the thread table asks about it */
  question?: string;
  side: Schemas['StepSaid']['side'];
  change: (group: Group) => void;
  remove: () => void;
}) {
  const set = (part: Partial<Group>) => change({ ...group, ...part });
  const number = (value: string) => (value === '' ? undefined : Number(value));
  const scale = 5;
  const [marking, setMarking] = useState(false);
  return (
    <Box
      border="1px solid"
      borderColor="line"
      borderRadius="sm"
      p="8px"
      mb="8px"
      bg="paper"
      role="group"
      aria-label={group.label}
    >
      <Box display="grid" gridTemplateColumns="70px 1fr 1fr 74px" gap="6px">
        <Text
          label="How many"
          compact
          type="number"
          min={1}
          max={99}
          placeholder="?"
          value={group.count ?? ''}
          onChange={(event) => set({ count: number(event.target.value) })}
        />
        <Text
          label="What they hold"
          compact
          value={group.label}
          onChange={(event) => set({ label: event.target.value })}
        />
        <Pick
          label="Head"
          compact
          value={group.head ?? ''}
          onChange={(event) => {
            const head = (event.target.value || undefined) as Group['head'];
            set({
              head,
              thread: THREADLESS.includes(head) ? 'NONE' : group.thread === 'NONE' ? undefined : group.thread,
            });
          }}
        >
          <option value="">not known</option>
          {Object.entries(floor.Head).map(([head, words]) => (
            <option key={head} value={head}>
              {words}
            </option>
          ))}
        </Pick>
        <Text
          label="Driver"
          compact
          value={group.size}
          onChange={(event) => set({ size: event.target.value })}
        />
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 80px 80px 100px auto" gap="6px" mt="4px" alignItems="end">
        <Pick
          label="Thread"
          compact
          value={group.thread ?? ''}
          disabled={THREADLESS.includes(group.head)}
          onChange={(event) => set({ thread: (event.target.value || undefined) as Group['thread'] })}
        >
          <option value="">not known</option>
          {Object.entries(floor.ThreadForm).map(([thread, words]) => (
            <option key={thread} value={thread}>
              {words}
            </option>
          ))}
        </Pick>
        <Text
          label="Ø mm"
          compact
          type="number"
          step={0.1}
          placeholder="?"
          value={group.diameterMm ?? ''}
          onChange={(event) => set({ diameterMm: number(event.target.value) })}
        />
        <Text
          label="Long mm"
          compact
          type="number"
          step={0.5}
          placeholder="?"
          value={group.lengthMm ?? ''}
          onChange={(event) => set({ lengthMm: number(event.target.value) })}
        />
        <Pick
          label="Finish"
          compact
          value={group.finish ?? ''}
          onChange={(event) => set({ finish: (event.target.value || undefined) as Group['finish'] })}
        >
          <option value="">not known</option>
          <option value="BLACK">black</option>
          <option value="SILVER">silver</option>
          <option value="BRASS">brass</option>
        </Pick>
        <Act look="quiet" aria-label={`Remove ${group.label}`} onClick={remove}>
          remove
        </Act>
      </Box>
      {question && (
        <Box fontSize="sm" color="amberInk" role="note">
          {figures(question)}
        </Box>
      )}
      <Box display="grid" gridTemplateColumns="1fr auto" gap="8px" mt="4px" alignItems="end">
        <Text
          label="Hides under (empty: in plain sight)"
          compact
          placeholder="felt foot, seal, sticker"
          value={group.hides}
          onChange={(event) => set({ hides: event.target.value })}
        />
        <Act look="quiet" onClick={() => setMarking(!marking)}>
          {marking ? 'done marking' : `mark where (${group.spots.length})`}
        </Act>
      </Box>
      {marking && (
        <Box mt="6px">
          <SideOutline
            side={side}
            groups={[group]}
            place={(x, y) =>
              group.spots.length < (group.count ?? 99) && set({ spots: [...group.spots, { x, y }] })
            }
          />
          {group.spots.length > 0 && (
            <Act look="quiet" onClick={() => set({ spots: group.spots.slice(0, -1) })}>
              take the last mark back
            </Act>
          )}
        </Box>
      )}
      {shape && (
        <svg
          width={Math.min(420, fastenerWidthMm(shape) * scale + 10)}
          height={shape.headDiameterMm * scale + 10}
          aria-hidden="true"
        >
          <Fastener
            group={group}
            shape={shape}
            scale={scale}
            x={3}
            y={(shape.headDiameterMm * scale) / 2 + 5}
          />
        </svg>
      )}
    </Box>
  );
}
