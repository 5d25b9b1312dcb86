import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useTitle } from '../app/useTitle';
import { Act, Chip } from '../parts/Buttons';
import { Empty, Loaded } from '../parts/States';
import { DifferencesPage } from './DifferencesPage';
import { Notes } from './Notes';
import { RevisionForm } from './RevisionForm';
import { WayPage } from './WayPage';
import { WholePage } from './WholePage';

export default function ModelPage() {
  useTitle('Model');
  const { model, revision, view } = useParams();
  const id = Number(model);
  const sheet = useQuery({
    queryKey: answers.model(id),
    queryFn: () => answer(api.GET('/api/models/{model}', { params: { path: { model: id } } })),
  });
  return (
    <Loaded query={sheet}>
      {(now) => (
        <ModelOf sheet={now} revisionId={Number(revision) || now.revisions[0]?.id} view={viewOf(view)} />
      )}
    </Loaded>
  );
}

const VIEWS = [
  ['way', 'Way in'],
  ['notes', 'Write the notes'],
  ['whole', 'As a whole'],
  ['differences', 'Differences'],
] as const;
type View = (typeof VIEWS)[number][0];

function viewOf(asked?: string): View {
  return VIEWS.find(([view]) => view === asked)?.[0] ?? 'way';
}

/** One model: its revisions across the top; below, the way in, the notes or the differences of the chosen one. */
function ModelOf({
  sheet,
  revisionId,
  view,
}: {
  sheet: Schemas['ModelSheet'];
  revisionId?: number;
  view: View;
}) {
  const navigate = useNavigate();
  const [changing, setChanging] = useState<'nothing' | 'new' | 'revision'>('nothing');
  const revision = sheet.revisions.find((one) => one.id === revisionId);
  // Nothing is written yet: the only thing to do is to write.
  const shown: View = revision?.notes === 0 && view === 'way' ? 'notes' : view;
  return (
    <Box flex="1" display="flex" flexDirection="column" minH={0}>
      <Box p="9px 22px 7px" borderBottom="1px solid" borderColor="line">
        <Box display="flex" gap="14px" alignItems="center" flexWrap="wrap">
          <chakra.h1>
            {sheet.model.maker} {sheet.model.name}
          </chakra.h1>
          <Box color="muted">{floor.Kind[sheet.model.kind]}</Box>
          <Box display="flex" gap="6px" flexWrap="wrap" ml="14px">
            {sheet.revisions.map((one) => (
              <Chip
                key={one.id}
                on={one.id === revisionId}
                onClick={() => navigate(`/models/${sheet.model.id}/${one.id}/${view}`)}
              >
                {one.name}
              </Chip>
            ))}
            <Act look="quiet" minH="34px" onClick={() => setChanging('new')}>
              another revision
            </Act>
          </Box>
          {revision && (
            <Box color="muted" fontSize="sm">
              {revision.tellApart || 'How to tell it apart is not said yet.'}
              <Act look="quiet" minH="28px" px="6px" onClick={() => setChanging('revision')}>
                change
              </Act>
            </Box>
          )}
          {revision && (
            <chakra.nav aria-label="Views of the notes" display="flex" gap="16px" ml="auto">
              {VIEWS.map(([one, words]) => (
                <NavLink key={one} to={`/models/${sheet.model.id}/${revision.id}/${one}`}>
                  <chakra.span
                    color={one === shown ? 'ink' : 'chalk'}
                    fontWeight={one === shown ? 700 : 400}
                    borderBottom={one === shown ? '3px solid' : undefined}
                    borderColor="mat"
                    pb="3px"
                  >
                    {words}
                  </chakra.span>
                </NavLink>
              ))}
            </chakra.nav>
          )}
        </Box>
        {changing !== 'nothing' && (
          <RevisionForm
            key={changing}
            model={sheet.model.id}
            revision={changing === 'revision' ? revision : undefined}
            others={sheet.revisions.filter((one) => one.notes > 0)}
            done={() => setChanging('nothing')}
          />
        )}
      </Box>
      {revision ? (
        <>
          {shown === 'way' && <WayPage key={revision.id} revision={revision} />}
          {shown === 'notes' && <Notes key={revision.id} sheet={sheet} revision={revision} />}
          {shown === 'whole' && <WholePage key={revision.id} sheet={sheet} revision={revision} />}
          {shown === 'differences' && <DifferencesPage key={revision.id} sheet={sheet} revision={revision} />}
        </>
      ) : (
        <Box p="14px 22px">
          <Empty>
            A model has at least one revision: name it as the bench would, “first series” or “A”, and say how
            to tell it from outside.
          </Empty>
          <RevisionForm model={sheet.model.id} others={[]} done={() => setChanging('nothing')} />
        </Box>
      )}
    </Box>
  );
}
