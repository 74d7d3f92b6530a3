import { Dialog, DialogPanel, DialogTitle, Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import { Glossary } from '../glossary/Glossary';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 8', 'set that bag or mix on the bench aside, or compare it again'],
  ['b', 'fold the bench to one line, or unfold it'],
  ['[  and  ]', 'the stage before, the stage after'],
  ['/', 'find a bag or a stage'],
  ['u', 'undo the change just made'],
  ['Esc', 'close the working'],
  ['?', 'this page'],
];
const TAB =
  'cursor-pointer border-b-4 border-transparent px-3 py-1 font-slab text-lg data-selected:border-wheat data-selected:font-semibold';

const Keys = () => (
  <>
    <table className="ledger">
      <tbody>
        {KEYS.map(([key, what]) => (
          <tr key={key}>
            <th scope="row" className="whitespace-nowrap">
              <kbd className="font-semibold">{key}</kbd>
            </th>
            <td>{what}</td>
          </tr>
        ))}
      </tbody>
    </table>
    <p className="mt-3 text-sm text-faint">
      Tab and arrow keys reach everything else. While you type in a field, these keys are letters.
    </p>
  </>
);

/** The words the program uses, each in a sentence, and its own keys. */
export const HelpDialog = ({ open, onClose }: { open: boolean; onClose: () => void }) => (
  <Dialog open={open} onClose={onClose} className="relative z-50">
    <div className="fixed inset-0 bg-pine/40" aria-hidden="true" />
    <div className="fixed inset-0 flex items-center justify-center p-4">
      <DialogPanel className="flex max-h-full w-full max-w-lg flex-col border-4 border-double border-line-strong bg-paper p-5">
        <DialogTitle className="sr-only">Words and keys</DialogTitle>
        <TabGroup className="flex min-h-0 flex-col">
          <TabList className="mb-3 flex gap-2 border-b border-line-strong">
            <Tab className={TAB}>Keys</Tab>
            <Tab className={TAB}>Words</Tab>
          </TabList>
          <TabPanels className="min-h-0 overflow-y-auto">
            <TabPanel tabIndex={-1}>
              <Keys />
            </TabPanel>
            <TabPanel tabIndex={-1}>
              <Glossary />
            </TabPanel>
          </TabPanels>
        </TabGroup>
        <button type="button" className="action main mt-3 self-start" onClick={onClose}>
          Close
        </button>
      </DialogPanel>
    </div>
  </Dialog>
);
