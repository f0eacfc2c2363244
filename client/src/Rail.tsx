import { type ReactNode } from 'react';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { type PlaceId, placeIds, placeOf } from './commands/catalogue';
import { Lantern } from './ui/Lantern';
import { Menu, MenuItem } from './ui/Menu';
import {
  AlmanacIcon,
  ClimateIcon,
  ColoniesIcon,
  FindIcon,
  GuideIcon,
  LarderIcon,
  MoreIcon,
  NurseryIcon,
  PairingIcon,
  RoundIcon,
  ShelvesIcon,
  StockIcon,
} from './ui/PlaceIcons';
import { useIsPhone } from './ui/useMedia';

/** The places at the rail, the first of them also in a phone's bar, each with its drawing; the others are behind "More". */
const icons = {
  round: RoundIcon,
  shelves: ShelvesIcon,
  stock: StockIcon,
  pairing: PairingIcon,
  nursery: NurseryIcon,
  colonies: ColoniesIcon,
  larder: LarderIcon,
  climate: ClimateIcon,
  almanac: AlmanacIcon,
  guide: GuideIcon,
} satisfies Partial<Record<PlaceId, () => ReactNode>>;

const atRail = Object.keys(icons) as (keyof typeof icons)[];

/** On a phone so many places stand in the bar. */
const inBar = 3;

/** The places that find no room at the rail, or in a phone's bar. */
function More() {
  const navigate = useNavigate();
  const phone = useIsPhone();
  const { pathname } = useLocation();
  const hidden = placeIds.slice(phone ? inBar : atRail.length).map(placeOf);
  const here = hidden.find(({ path }) => pathname.startsWith(path));
  return (
    <Menu
      align="end"
      trigger={
        <button type="button" className={`place ${here === undefined ? '' : 'font-semibold text-ink'}`}>
          <MoreIcon />
          {here?.word ?? 'More'}
        </button>
      }
    >
      {hidden.map(({ id, letter, word, path }) => (
        <MenuItem key={id} letter={letter} onSelect={() => void navigate(path)}>
          {word}
        </MenuItem>
      ))}
    </Menu>
  );
}

/** The places of the room: a rail at the side, on a phone a bar at the foot. */
export function Rail({ onFind, onKeys }: { onFind: () => void; onKeys: () => void }) {
  return (
    <nav
      aria-label="Places"
      className="rail flex flex-col print:hidden border-line max-sm:order-last max-sm:grid max-sm:grid-cols-5 max-sm:border-t sm:border-r sm:pt-2.5 sm:pb-2"
    >
      <NavLink
        to="/"
        className="grid justify-items-center gap-1.5 pb-3 text-center font-display text-12 leading-tight font-semibold max-sm:hidden"
      >
        <Lantern shutters={2} lit className="size-[30px]" />
        <span>
          Hushed
          <br />
          Lantern
        </span>
      </NavLink>
      {atRail.map((id, k) => {
        const { word, path } = placeOf(id);
        const Icon = icons[id];
        return (
          <NavLink
            key={id}
            to={path}
            end={path === '/'}
            className={`place ${k < inBar ? '' : 'max-sm:hidden'}`}
          >
            <Icon />
            {word}
          </NavLink>
        );
      })}
      <button type="button" className="place" onClick={onFind}>
        <FindIcon />
        Find
      </button>
      <More />
      <button
        type="button"
        className="mt-auto min-h-11 text-12 text-muted hover:text-ink max-sm:hidden"
        onClick={onKeys}
      >
        <kbd>H</kbd>
        <span className="mt-1 block">Keys</span>
      </button>
    </nav>
  );
}
