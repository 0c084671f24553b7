import '../../workers/no-eval.ts';

import { useCallback, useEffect, useMemo, useState } from 'react';
import { kindFor } from '../../core/design/constructions.ts';
import { isSloped } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { BrokenPage } from '../../kit/broken-part.tsx';
import { CommandMenu } from '../../kit/commands/command-menu.tsx';
import { designCommands } from '../../kit/commands/shelf-commands.ts';
import { useCommandKey } from '../../kit/commands/use-command-key.ts';
import { FieldPlace } from '../../kit/fields/refused-drafts.ts';
import { isFirst, leaveTour } from '../../kit/kept/first-visit.ts';
import { useKeptFocus } from '../../kit/kept-focus.ts';
import { Safely } from '../../kit/safely.tsx';
import { Toasts } from '../../kit/toasts.tsx';
import { BuildPanel } from '../build/build-panel.tsx';
import { ConstructionHandles, viewFor } from '../build/views.tsx';
import { CheckPanel } from '../check/check-panel.tsx';
import { useRepeatCheck } from '../check/use-repeat-check.ts';
import { Cloth } from '../cloth/cloth.tsx';
import { useCloth } from '../cloth/cloth-store.ts';
import { Corner } from '../cloth/corner.tsx';
import { Ruler } from '../cloth/ruler.tsx';
import { ColoursPanel } from '../colours/colours-panel.tsx';
import { ColourwaysView } from '../colours/colourways-view.tsx';
import { LayPanel } from '../lay/lay-panel.tsx';
import { Rail } from '../rails/rail.tsx';
import { SendPanel } from '../send/send-panel.tsx';
import { SendView } from '../send/send-view.tsx';
import { startAutosave } from '../state/autosave.ts';
import { railsOf } from '../state/band-edits.ts';
import type { OpenedDesign, Step } from '../state/bench-state.ts';
import { benchState, openDesign, useBench, useBenchState, useDesign } from '../state/bench-store.ts';
import { startKeepingUndo } from '../state/keep-undo.ts';
import { SceneView } from '../try-on/drawing/scene-view.tsx';
import { TryOnLine } from '../try-on/try-on-line.tsx';
import { TryOnPanel } from '../try-on/try-on-panel.tsx';
import { benchCommands } from './bench-commands.ts';
import { BrokenBench } from './broken-bench.tsx';
import { Header } from './header.tsx';
import { useBenchKeys } from './keys.ts';
import { KeysDialog } from './keys-dialog.tsx';
import { MeasureLine } from './measure-line.tsx';
import { DraftDialog, StaleDialog } from './saving-dialogs.tsx';
import { Steps } from './steps.tsx';
import { Ticket } from './ticket.tsx';
import { Tour } from './tour.tsx';
import { useKeptScroll } from './use-kept-scroll.ts';

const PANELS: Readonly<Record<Step, () => React.ReactNode>> = {
  Colours: ColoursPanel,
  Build: BuildPanel,
  Lay: LayPanel,
  Check: CheckPanel,
  'Try on': TryOnPanel,
  Send: SendPanel,
};

/** The screen where one design is made. */
export function Bench({ opened }: { opened: OpenedDesign }) {
  const ready = useBench(({ bench }) => bench?.id === opened.id);
  useEffect(() => openDesign(opened), [opened]);
  return <Safely broken={(again) => <BrokenPage again={again} />}>{ready ? <OpenBench /> : null}</Safely>;
}

/** What goes on whatever breaks on the screen: saving, checking, keys. */
function OpenBench() {
  const [keys, setKeys] = useState(false);
  const [searching, setSearching] = useState(false);
  const [touring, setTouring] = useState(isFirst);
  const [shows] = useState(() => ({ showKeys: () => setKeys(true), showTour: () => setTouring(true) }));
  const [search] = useState(() => () => setSearching(true));
  const design = useDesign();
  const step = useBenchState((state) => state.step);
  useEffect(startAutosave, []);
  useEffect(startKeepingUndo, []);
  useRepeatCheck(useCloth(({ repeat }) => repeat !== undefined));
  useBenchKeys(shows.showKeys);
  useCommandKey(search);
  useKeptFocus();
  const commandsOf = useCallback(() => benchCommands(design, shows), [design, shows]);
  return (
    <div className="relative grid h-dvh grid-rows-[48px_54px_minmax(0,1fr)] overflow-hidden">
      <Header onKeys={shows.showKeys} onSearch={search} />
      <Steps />
      <Safely of={[design, step]} broken={(again) => <BrokenBench again={again} />}>
        <Workplace
          tour={
            touring && (
              <Tour
                onLeave={() => {
                  leaveTour();
                  setTouring(false);
                }}
              />
            )
          }
        />
      </Safely>
      <KeysDialog open={keys} onOpenChange={setKeys} />
      <CommandMenu
        open={searching}
        onOpenChange={setSearching}
        commandsOf={commandsOf}
        moreOf={designCommands}
      />
      <StaleDialog />
      <DraftDialog />
      <Toasts />
    </div>
  );
}

/** The cloth, or what takes its place, and the panel of the step. */
function Workplace({ tour }: { tour: React.ReactNode }) {
  const step = useBenchState((state) => state.step);
  const colourways = useCloth((cloth) => cloth.sideBySide) && step === 'Colours';
  const design = useDesign();
  const Work = useCloth((cloth) => (step === 'Build' ? viewFor(design).workOf?.(design, cloth) : undefined));
  const Shown = PANELS[step];
  const scroll = useKeptScroll(step);
  const place = useMemo(() => ({ name: step, isLeft: () => benchState().step !== step }), [step]);
  return (
    <main className="grid min-h-0 grid-cols-[minmax(0,1fr)_340px] max-[1100px]:grid-cols-[minmax(0,1fr)_300px] max-[900px]:grid-cols-1 max-[900px]:grid-rows-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <div className="grid min-h-0 min-w-0 grid-rows-[minmax(0,1fr)_auto] border-rule border-t">
        {step === 'Send' ? (
          <SendView />
        ) : step === 'Try on' ? (
          <SceneView />
        ) : colourways ? (
          <ColourwaysView />
        ) : Work !== undefined ? (
          <Work />
        ) : (
          <ClothWithRails />
        )}
        {step === 'Try on' ? (
          <TryOnLine />
        ) : (
          <MeasureLine looking={step !== 'Send' && !colourways && Work === undefined} />
        )}
      </div>
      <div {...scroll} className="relative min-h-0 overflow-y-auto border-rule border-t border-l bg-paper">
        {tour}
        <FieldPlace value={place}>
          <Shown />
        </FieldPlace>
      </div>
    </main>
  );
}

/** Whether what lies on the cloth lies as it was built, so that it can be taken hold of there. */
function isByHand({ construction, lay }: Design): boolean {
  if (isSloped(lay)) return false;
  return lay.arrangement.kind === 'straight' || kindFor(construction).boxOf !== undefined;
}

function ClothWithRails() {
  const design = useDesign();
  const step = useBenchState((state) => state.step);
  const railed = railsOf(design);
  return (
    <div className="relative grid min-h-0 min-w-0 grid-cols-[36px_minmax(0,1fr)] grid-rows-[36px_minmax(0,1fr)]">
      <Corner />
      {railed.includes('warp') ? <Rail direction="warp" /> : <Ruler direction="warp" />}
      {railed.includes('weft') ? <Rail direction="weft" /> : <Ruler direction="weft" />}
      <Cloth>{step === 'Build' && isByHand(design) && <ConstructionHandles design={design} />}</Cloth>
      <Ticket />
    </div>
  );
}
