# Shared by ./start and ./test: Debian packages, and a private PostgreSQL cluster on loopback.
# Source it from the project's root. Says what it does; safe to run twice.

say() { printf '%s\n' "velvet-bezel: $*"; }
die() { printf '%s\n' "velvet-bezel: $*" >&2; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else die "needs root for: $*. Install sudo, or run this once as root."; fi
}

# need_packages NAME...: installs the Debian packages that are missing.
need_packages() {
  local missing=()
  for p in "$@"; do dpkg-query -W -f='${Status}' "$p" 2>/dev/null | grep -q 'ok installed' || missing+=("$p"); done
  [ ${#missing[@]} -eq 0 ] && return 0
  command -v apt-get >/dev/null || die "these Debian packages are missing: ${missing[*]}. Install them and run this again."
  say "installing Debian packages: ${missing[*]}"
  as_root apt-get update -qq || die "apt-get update failed: check the network, then run this again."
  if printf '%s\n' "${missing[@]}" | grep -qx postgresql; then
    # no stray cluster on port 5432
    as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq postgresql-common >/dev/null || die "could not install postgresql-common."
    as_root sed -i 's/^#\?create_main_cluster.*/create_main_cluster = false/' /etc/postgresql-common/createcluster.conf
  fi
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "${missing[@]}" >/dev/null || die "could not install: ${missing[*]}."
}

need_java() {
  if ! command -v javac >/dev/null || ! javac -version 2>&1 | grep -qE ' (1[7-9]|2[0-9])'; then need_packages openjdk-17-jdk-headless; fi
  command -v mvn >/dev/null || need_packages maven
}

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

# PostgreSQL refuses to run as root: there it runs as user postgres.
pg() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }

# cluster_folder NAME: a folder for the cluster's data, outside target/; /var/tmp where user postgres may not enter.
cluster_folder() {
  local folder="$PWD/.run/$1"
  mkdir -p "$PWD/.run"
  if [ "$(id -u)" = 0 ] && ! (cd / && runuser -u postgres -- test -x "$PWD/.run"); then
    folder="/var/tmp/velvet-bezel-$(printf '%s' "$PWD/$1" | cksum | cut -d' ' -f1)"
    say "user postgres may not enter $PWD; the data is kept in $folder" >&2
  fi
  printf '%s\n' "$folder"
}

free_port() { python3 -c 'import socket; s=socket.socket(); s.bind(("127.0.0.1",0)); print(s.getsockname()[1])' 2>/dev/null \
  || perl -MIO::Socket::INET -e 'print IO::Socket::INET->new(Listen=>1,LocalAddr=>"127.0.0.1")->sockport,"\n"'; }

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Whether the server on this port is ours: its data folder tells.
serves() { local shown; shown=$(PGCONNECT_TIMEOUT=3 PGPASSWORD="${3:-}" "$(pg_bin)/psql" -h 127.0.0.1 -p "$2" -U velvet -d postgres -Atc 'show data_directory' 2>/dev/null) && [ "$shown" = "$1" ]; }

# init_cluster FOLDER AUTH PASSWORD: a half-done one is told by its missing marker and redone.
init_cluster() {
  [ -f "$1/ready.marker" ] && return 0
  if pg test -f "$1/ready.marker"; then return 0; fi
  say "making a PostgreSQL cluster in $1"
  rm -rf "$1"
  mkdir -p "$1"
  [ "$(id -u)" = 0 ] && chown postgres "$1"
  chmod 700 "$1"
  local secret; secret=$(mktemp); chmod 600 "$secret"; printf '%s\n' "$3" >"$secret"
  [ "$(id -u)" = 0 ] && chown postgres "$secret"
  pg "$(pg_bin)/initdb" -D "$1" -U velvet -A "$2" --pwfile="$secret" -E UTF8 --locale=C.UTF-8 >/dev/null || { rm -f "$secret"; die "initdb failed in $1."; }
  rm -f "$secret"
  pg touch "$1/ready.marker"
}

# A lock left by a killed server is taken away only if its process is gone or a zombie.
clear_stale_lock() {
  local pid state
  pid=$(pg head -n 1 "$1/postmaster.pid" 2>/dev/null) || return 0
  [ -n "$pid" ] || return 0
  state=$(sed -n 's/^State:[[:space:]]*\(.\).*/\1/p' "/proc/$pid/status" 2>/dev/null) || state=
  if [ -z "$state" ] || [ "$state" = Z ] || ! tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -q postgres; then
    say "an earlier server was killed (process $pid is gone); taking its lock away"
    pg rm -f "$1/postmaster.pid"
  fi
}

# A server that a killed run left behind on another port is stopped. The caller holds the folder's lock.
stop_orphan() {
  pg "$(pg_bin)/pg_ctl" -D "$1" status >/dev/null 2>&1 || return 0
  say "stopping the PostgreSQL that an earlier run left behind"
  stop_cluster "$1"
}

# set_password FOLDER PASSWORD: of a stopped cluster that outlived the checkout which knew its password.
set_password() {
  clear_stale_lock "$1"
  printf "alter role velvet password '%s';\n" "$2" | pg "$(pg_bin)/postgres" --single -D "$1" postgres >/dev/null 2>&1 || die "could not set the password of the cluster in $1; remove that folder to begin anew."
}

# start_cluster FOLDER PORT PASSWORD [server options]
start_cluster() {
  local folder=$1 port=$2 password=$3; shift 3
  clear_stale_lock "$folder"
  pg "$(pg_bin)/pg_ctl" -D "$folder" -w -t 60 -l "$folder/server.log" \
    -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' $*" start >/dev/null \
    || { pg tail -n 5 "$folder/server.log" >&2; die "PostgreSQL did not start on port $port; its log is $folder/server.log."; }
  serves "$folder" "$port" "$password" || die "another PostgreSQL answers on port $port. Set VB_PG_PORT to a free port."
}

stop_cluster() { pg "$(pg_bin)/pg_ctl" -D "$1" -m fast -w stop >/dev/null 2>&1 || true; }

# The application's own role: it owns its database and nothing else, and is no superuser. Tables of a database that the
# superuser made for an earlier build are handed over.
make_role() { # PORT PASSWORD DATABASE ROLE ROLE_PASSWORD
  local psql=("$(pg_bin)/psql" -h 127.0.0.1 -p "$1" -U velvet -qAt -v ON_ERROR_STOP=1)
  PGPASSWORD=$2 "${psql[@]}" -d postgres -c "select 1 from pg_roles where rolname = '$4'" | grep -q 1 \
    || PGPASSWORD=$2 "${psql[@]}" -d postgres -c "create role $4 login nosuperuser nocreatedb nocreaterole"
  printf "alter role %s password '%s'; alter database %s owner to %s;\n" "$4" "$5" "$3" "$4" | PGPASSWORD=$2 "${psql[@]}" -d postgres
  PGPASSWORD=$2 "${psql[@]}" -d "$3" <<SQL
do \$\$ declare one text; begin
  for one in
    select format('alter %s %I.%I owner to $4', case c.relkind when 'v' then 'view' else 'table' end, n.nspname, c.relname)
    from pg_class c join pg_namespace n on n.oid = c.relnamespace join pg_roles r on r.oid = c.relowner
    where n.nspname = 'public' and c.relkind in ('r', 'p', 'v') and r.rolname = 'velvet'
    union all
    select format('alter function %s owner to $4', p.oid::regprocedure)
    from pg_proc p join pg_namespace n on n.oid = p.pronamespace join pg_roles r on r.oid = p.proowner
    where n.nspname = 'public' and r.rolname = 'velvet' and not exists (select from pg_depend d where d.objid = p.oid and d.deptype = 'e')
  loop execute one; end loop;
end \$\$;
SQL
}

make_database() { # PORT PASSWORD NAME
  PGPASSWORD=$2 "$(pg_bin)/psql" -h 127.0.0.1 -p "$1" -U velvet -d postgres -Atc "select 1 from pg_database where datname='$3'" | grep -q 1 \
    || PGPASSWORD=$2 "$(pg_bin)/psql" -h 127.0.0.1 -p "$1" -U velvet -d postgres -qc "create database $3"
}
