/** What a dialog ends with: the press that does it, and the way out. */
export function AddOrCancel({
  label,
  isOff,
  onAdd,
  onCancel,
}: {
  label: string;
  isOff: boolean;
  onAdd: () => void;
  onCancel: () => void;
}) {
  return (
    <div className="mt-4 flex gap-3 border-t border-ink pt-3">
      <button type="button" className="press" disabled={isOff} onClick={onAdd}>
        {label}
      </button>
      <button type="button" className="press" onClick={onCancel}>
        Cancel
      </button>
    </div>
  );
}
