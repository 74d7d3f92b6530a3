interface Followed {
  readonly can: boolean;
  readonly follows: boolean;
  readonly setFollows: (on: boolean) => void;
}
/** Whether a drawing follows the log up to today; nothing where nothing is logged. */
export const FollowToggle = ({ followed: { can, follows, setFollows } }: { followed: Followed }) =>
  can && (
    <label className="no-print mb-1 flex items-center gap-1.5 text-[0.9375rem]">
      <input
        type="checkbox"
        className="size-4 accent-wheat"
        checked={follows}
        onChange={(e) => setFollows(e.target.checked)}
      />
      As it was logged up to today, and as it is planned from then on
    </label>
  );
