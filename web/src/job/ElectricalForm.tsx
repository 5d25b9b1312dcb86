import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useJobWrite } from '../api/useJobWrite';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { QuantityField } from '../parts/QuantityField';
import { Caution, Trouble } from '../parts/States';

type Protection = Schemas['ElectricalSaid']['protection'];

/** Earth, insulation and lead, measured closed after work on the mains side. */
export function ElectricalForm({ sheet, done }: { sheet: Schemas['JobSheet']; done: () => void }) {
  const [protection, setProtection] = useState<Protection>('EARTHED');
  const [earth, setEarth] = useState(Number.NaN);
  const [insulation, setInsulation] = useState(Number.NaN);
  const [leadSound, setLeadSound] = useState<boolean>();
  const [words, setWords] = useState('');
  const job = sheet.job.id;
  const write = useJobWrite(
    () =>
      answer(
        api.POST('/api/jobs/{job}/electrical', {
          params: { path: { job } },
          body: {
            protection,
            earthOhm: protection === 'EARTHED' ? earth : undefined,
            insulationMohm: insulation,
            leadSound: leadSound === true,
            words,
          },
        }),
      ),
    done,
  );
  const whole =
    leadSound !== undefined &&
    !Number.isNaN(insulation) &&
    (protection === 'DOUBLE_INSULATED' || !Number.isNaN(earth));
  return (
    <chakra.form
      display="grid"
      gap="8px"
      aria-label="Electrical check"
      onSubmit={(event) => {
        event.preventDefault();
        write.mutate();
      }}
    >
      <chakra.h2>Electrical check</chakra.h2>
      {sheet.mains && <Box fontSize="sm">{sheet.mains}</Box>}
      <Caution>
        Only by somebody who may measure this where you are. Closed, unplugged, hands off the unit while the
        tester puts its voltage on. Your local rules decide.
      </Caution>
      <Box display="flex" gap="6px" flexWrap="wrap">
        {(Object.keys(floor.Protection) as Protection[]).map((one) => (
          <Chip key={one} on={protection === one} onClick={() => setProtection(one)}>
            {floor.Protection[one]}
          </Chip>
        ))}
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        {protection === 'EARTHED' && (
          <QuantityField label="Earth, plug to metal" unit="Ω" value={earth} set={setEarth} />
        )}
        <QuantityField
          label="Insulation, poles to metal"
          unit="MΩ"
          value={insulation}
          set={setInsulation}
          hint="MΩ; over the range: its end"
        />
      </Box>
      <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="Lead, plug and strain relief">
        <Chip on={leadSound === true} onClick={() => setLeadSound(true)}>
          lead and plug are sound
        </Chip>
        <Chip on={leadSound === false} onClick={() => setLeadSound(false)}>
          they are not
        </Chip>
      </Box>
      <Text
        label="Instrument, remark (may be empty)"
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <Box display="flex" gap="8px">
        <Act look="main" type="submit" disabled={write.isPending || !whole}>
          That is what was measured
        </Act>
        <Act onClick={done}>Leave it</Act>
      </Box>
      <Trouble error={write.error} />
    </chakra.form>
  );
}
