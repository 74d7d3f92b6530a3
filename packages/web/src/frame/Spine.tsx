import { useEffect, useRef } from 'react';
import { NavLink, useLocation } from 'react-router';
import { STAGES } from '../app/stages';
import { useLacks } from './lacks';

/** The stages in working order, each with what it still lacks. On a phone, a bar that scrolls sideways. */
export function Spine() {
  const lacks = useLacks();
  const { pathname } = useLocation();
  const nav = useRef<HTMLElement>(null);
  // On a phone the strip is longer than the screen: the stage one is in is brought into view.
  useEffect(() => {
    const here = nav.current?.querySelector('[aria-current=page]');
    here?.scrollIntoView?.({ inline: 'center', block: 'nearest' });
  }, [pathname]);
  return (
    <nav
      ref={nav}
      aria-label="Stages"
      className="no-print overflow-x-auto border-b border-rule lg:overflow-visible lg:border-b-0 lg:border-r"
    >
      <ol className="flex lg:flex-col lg:py-3">
        {STAGES.map(({ path, name, icon: Icon }) => (
          <li key={path} className="shrink-0">
            <NavLink
              to={path}
              className={({ isActive }) =>
                `flex items-start gap-2.5 border-b-[3px] px-3 py-2 lg:border-b-0 lg:border-l-[5px] ${isActive ? 'border-wheat bg-paper' : 'border-transparent hover:bg-paper'}`
              }
            >
              <Icon size={18} aria-hidden="true" className="mt-0.5 shrink-0" />
              <span className="leading-tight">
                <span className="block font-slab font-semibold">{name}</span>
                <span className="hidden text-[0.8125rem] text-faint lg:block">{lacks[path]}</span>
              </span>
            </NavLink>
          </li>
        ))}
      </ol>
    </nav>
  );
}
