# What the command says, and how it stops: one clear sentence with the way out.
say() { printf '%s\n' "$*" >&2; }
step() { printf '· %s\n' "$*" >&2; }
fail() { printf '\n✕ %s\n' "$*" >&2; exit 1; }
