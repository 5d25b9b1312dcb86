import { Box, chakra } from '@chakra-ui/react';
import { useEffect } from 'react';
import { Navigate, NavLink, useLocation, useParams } from 'react-router';
import { useTitle } from '../app/useTitle';
import { BeltPage } from './BeltPage';
import { BleedPage } from './BleedPage';
import { CapacitorPage } from './CapacitorPage';
import { ChainPage } from './ChainPage';
import { GearPage } from './GearPage';
import { LimitPage } from './LimitPage';
import { LogicPage } from './LogicPage';
import { RailsPage } from './RailsPage';
import { SpindlePage } from './SpindlePage';
import { ThreadPage } from './ThreadPage';

const GAUGES = {
  belt: ['Belt', BeltPage],
  gear: ['Gear', GearPage],
  thread: ['Thread', ThreadPage],
  rails: ['Rails', RailsPage],
  logic: ['Logic', LogicPage],
  chain: ['Chain', ChainPage],
  spindle: ['Spindle', SpindlePage],
  bleed: ['Bleed', BleedPage],
  capacitor: ['Capacitor', CapacitorPage],
  limit: ['Limit', LimitPage],
} as const;

/** Ten small instruments: each draws what is measured, live as one types. */
const LAST = 'last gauge';

export default function GaugesPage() {
  useTitle('Gauges');
  const { search } = useLocation();
  const name = useParams().gauge ?? sessionStorage.getItem(LAST) ?? 'belt';
  useEffect(() => sessionStorage.setItem(LAST, name), [name]);
  const gauge = GAUGES[name as keyof typeof GAUGES];
  if (!gauge) {
    return <Navigate to={`/gauges/belt${search}`} replace />;
  }
  const Page = gauge[1];
  return (
    <>
      <chakra.nav
        aria-label="Gauges"
        className="noprint"
        display="flex"
        gap="4px"
        flexWrap="wrap"
        px="22px"
        py="6px"
        borderBottom="1px solid"
        borderColor="line"
      >
        {Object.entries(GAUGES).map(([key, [title]]) => (
          <NavLink key={key} to={`/gauges/${key}${search}`}>
            {({ isActive }) => (
              <Box
                as="span"
                display="inline-block"
                px="10px"
                py="4px"
                bg={key === name || isActive ? 'tape' : undefined}
                color={key === name || isActive ? 'onTape' : undefined}
              >
                {title}
              </Box>
            )}
          </NavLink>
        ))}
      </chakra.nav>
      <Page key={name + search} />
    </>
  );
}
