import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Chip } from '../parts/Buttons';

type Role = Schemas['SignedIn']['roles'][number];
const ALL = Object.keys(floor.Role) as Role[];

/** What somebody does here: in a small shop several things. One at least stays. */
export function Roles({ of, roles, set }: { of: string; roles: Role[]; set?: (roles: Role[]) => void }) {
  if (!set) {
    return (
      <span>
        {ALL.filter((role) => roles.includes(role))
          .map((role) => floor.Role[role])
          .join(', ')}
      </span>
    );
  }
  return (
    <Box display="flex" gap="6px" role="group" aria-label={`What ${of} does`}>
      {ALL.map((role) => {
        const on = roles.includes(role);
        return (
          <Chip
            key={role}
            on={on}
            disabled={on && roles.length === 1}
            onClick={() => set(on ? roles.filter((one) => one !== role) : [...roles, role])}
          >
            {floor.Role[role]}
          </Chip>
        );
      })}
    </Box>
  );
}
