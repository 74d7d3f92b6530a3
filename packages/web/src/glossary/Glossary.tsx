import { useState } from 'react';
import { TERMS } from './terms';

/** All terms in the order of the alphabet, narrowed by what is typed. */
export function Glossary() {
  const [wanted, setWanted] = useState('');
  const sought = wanted.trim().toLowerCase();
  const shown = Object.values(TERMS)
    .filter(([term, says]) => `${term} ${says}`.toLowerCase().includes(sought))
    .sort(([a], [b]) => a.localeCompare(b, 'en', { sensitivity: 'base' }));
  return (
    <>
      <input
        type="search"
        className="field mb-2"
        aria-label="Find a word"
        placeholder="Find a word"
        value={wanted}
        onChange={(e) => setWanted(e.target.value)}
      />
      {shown.length === 0 && <p className="text-faint">No word here is called “{wanted.trim()}”.</p>}
      <dl className="text-[0.9375rem]" data-testid="glossary">
        {shown.map(([term, says]) => (
          <div key={term} className="border-b border-rule py-1.5">
            <dt className="font-semibold">{term}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
