import { Command as Menu } from 'cmdk';
import { Dialog as Radix } from 'radix-ui';
import { useEffect, useMemo, useState } from 'react';
import { useLate } from '../use-late.ts';
import type { Command } from './command.ts';
import { scoreCommand } from './score.ts';

interface CommandMenuProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  /** Made when the search is opened. */
  readonly commandsOf: () => readonly Command[];
  /** Those that come later for what was typed, such as the designs of the shelf. */
  readonly moreOf: (words: string) => Promise<readonly Command[]>;
}

/** A search over everything that can be done, each with its key. */
export function CommandMenu({ open, onOpenChange, commandsOf, moreOf }: CommandMenuProps) {
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/35" />
        <Radix.Content
          aria-describedby={undefined}
          className="-translate-x-1/2 fixed top-[12vh] left-1/2 z-50 w-[min(620px,92vw)] overflow-hidden rounded-card bg-paper shadow-xl outline-none"
        >
          <Radix.Title className="sr-only">Search commands, designs and help</Radix.Title>
          {open && <Found commandsOf={commandsOf} moreOf={moreOf} onDone={() => onOpenChange(false)} />}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

interface FoundProps extends Pick<CommandMenuProps, 'commandsOf' | 'moreOf'> {
  readonly onDone: () => void;
}

function Found({ commandsOf, moreOf, onDone }: FoundProps) {
  const [more, setMore] = useState<readonly Command[]>([]);
  const commands = useMemo(() => commandsOf(), [commandsOf]);
  const [words, setWords] = useState('');
  const late = useLate(words);
  useEffect(() => {
    let gone = false;
    void moreOf(late).then((found) => !gone && setMore(found));
    return () => {
      gone = true;
    };
  }, [moreOf, late]);
  const all = [...commands, ...more];
  const groups = [...new Set(all.map(({ group }) => group))];
  return (
    <Menu label="Search commands, designs and help" loop filter={byWords}>
      <Menu.Input
        value={words}
        onValueChange={setWords}
        placeholder="Search commands, designs, start points, help…"
        className="w-full border-rule border-b bg-transparent px-4 py-3 text-[15px] outline-none"
      />
      <Menu.List className="max-h-[56vh] overflow-y-auto p-2">
        <Menu.Empty className="px-3 py-6 text-center text-ash">Nothing is called so.</Menu.Empty>
        {groups.map((group) => (
          <Menu.Group
            key={group}
            heading={group}
            className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-[12px] [&_[cmdk-group-heading]]:text-ash"
          >
            {all
              .filter((command) => command.group === group)
              .map(({ text, also = '', keys, run }) => (
                <Menu.Item
                  key={`${group} ${text}`}
                  value={`${group} ${text}`}
                  keywords={[text, also]}
                  className="flex cursor-pointer items-center justify-between gap-4 rounded-md px-3 py-1.5 data-[selected=true]:bg-woad-pale data-[selected=true]:text-woad"
                  onSelect={() => {
                    onDone();
                    run();
                  }}
                >
                  <span className="min-w-0 truncate">{text}</span>
                  {keys !== undefined && <kbd className="numbers flex-none text-ash">{keys}</kbd>}
                </Menu.Item>
              ))}
          </Menu.Group>
        ))}
      </Menu.List>
    </Menu>
  );
}

/** The menu's values begin with the group, so that they differ; the group is not searched. */
function byWords(value: string, search: string, keywords: readonly string[] = []): number {
  const [text = value, also = ''] = keywords;
  return scoreCommand(text, also, search);
}
