import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 8', 'set that bag or mix on the bench aside, or compare it again'],
  ['b', 'fold the bench to one line, or unfold it'],
  ['[  and  ]', 'the stage before, the stage after'],
  ['/', 'find a bag or a stage'],
  ['u', 'undo the change just made'],
  ['Esc', 'close the working'],
  ['?', 'this list'],
];

/** The program's own keys, listed. */
export const KeysDialog = ({ open, onClose }: { open: boolean; onClose: () => void }) => (
  <Dialog open={open} onClose={onClose} className="relative z-50">
    <div className="fixed inset-0 bg-pine/40" aria-hidden="true" />
    <div className="fixed inset-0 flex items-center justify-center p-4">
      <DialogPanel className="w-full max-w-md border-4 border-double border-line-strong bg-paper p-5">
        <DialogTitle className="mb-2 text-lg">Keys</DialogTitle>
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
        <button type="button" className="action main mt-3" onClick={onClose}>
          Close
        </button>
      </DialogPanel>
    </div>
  </Dialog>
);
