import { canBeInstalled } from '../../ui/install';
import { Waiting } from '../../ui/Waiting';
import { useDoorway } from './queries';
import { ScanCode } from './ScanCode';

/** How a phone comes into the room, and what a page like this one can and cannot do. */
export function DoorwaySection() {
  return (
    <section className="grid gap-3 border-t border-line pt-4" aria-labelledby="phones">
      <h2 id="phones" className="text-18">
        Phones
      </h2>
      <Waiting query={useDoorway()} what="The way in">
        {(door) =>
          !door.onNetwork ? (
            <p className="max-w-[64ch] text-13 text-muted">
              The room listens on this computer only. With an owner’s password and{' '}
              <b className="font-semibold whitespace-nowrap">./lantern start --lan</b> it is served on your
              network, encrypted.
            </p>
          ) : (
            <>
              <p className="text-13">
                Phones find it under <b className="font-semibold">{door.address}</b>
              </p>
              {door.trustAddress !== null ? (
                <>
                  <p className="max-w-[64ch] text-13 text-muted">
                    Each phone learns once to trust the room’s own root, at{' '}
                    <b className="font-semibold text-ink">{door.trustAddress}</b>. The fingerprint that it
                    shows must be this one:
                  </p>
                  <p className="max-w-[64ch] font-text text-13 break-words">{door.fingerprint}</p>
                  <ScanCode of="the page on which a phone learns to trust the room" />
                </>
              ) : (
                <p className="max-w-[64ch] border-l-2 border-ember pl-3 text-13">
                  It is not encrypted: whoever shares the network can read along, and no phone opens it out of
                  reach, keeps its screen lit or keeps it among its applications. Start it without{' '}
                  <b className="font-semibold">--plain</b>.
                </p>
              )}
            </>
          )
        }
      </Waiting>
      {!canBeInstalled() && (
        <p className="max-w-[64ch] text-13 text-muted">
          This page cannot be kept on this device: it is not encrypted, or the browser does not trust it yet.
        </p>
      )}
    </section>
  );
}
