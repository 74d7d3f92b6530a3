/** The columns of every kept record. */
export const KEPT = `
  id uuid primary key,
  workspace_id uuid not null references workspace (id),
  name text not null check (length(name) between 1 and 500),
  version integer not null default 1,
  updated_at timestamptz not null default now(),
  deleted_at timestamptz`;
