# Everything in one file, and the way back. Sourced by ./chervil.
#
# A backup is one line, "CHERVIL BACKUP 1 plain|sealed SHA256", and after it what the sum is of: a tar of two files, sealed by
# GnuPG with a passphrase if that was wished. "data" is PostgreSQL's own archive; "manifest" says when and from which schema
# it was made, its sum, and how many rows each table had.

BACKUP_MARK='CHERVIL BACKUP 1'
MANY_DAYS=7 MANY_WEEKS=4 MANY_MONTHS=12

COUNTS="select table_name || ' ' || (xpath('/row/c/text()', query_to_xml(
    format('select count(*) as c from %I', table_name), false, true, '')))[1]::text
  from information_schema.tables
  where table_schema = 'public' and table_type = 'BASE TABLE'
  order by table_name"

pg() { # kind tool arguments...
  local kind=$1 tool=$2; shift 2
  PGPASSWORD=$(cat "$STATE/$kind/password") "$PG_BIN/$tool" -h 127.0.0.1 -p "$(cat "$STATE/$kind/pg-port")" -U chervil "$@"
}

# A place for half-made files that goes away however this ends.
workplace() {
  work=$(mktemp -d "${TMPDIR:-/tmp}/chervil-backup.XXXXXX")
  trap 'rm -rf "$work"' EXIT
  mkdir -m 700 "$work/gnupg"
}

sum_of() { sha256sum "$1" | cut -d' ' -f1; }

gpg_quiet() { # passphrase-file arguments...
  local pass=$1; shift
  GNUPGHOME=$work/gnupg gpg --batch --quiet --yes --pinentry-mode loopback --passphrase-file "$pass" "$@" 2>"$work/gpg.log"
}

# Writes the archive and the row counts of one and the same moment.
dump() { # kind database directory
  local kind=$1 database=$2 into=$3 snapshot line answers questions
  coproc SESSION { PGPASSWORD=$(cat "$STATE/$kind/password") psql -qtAX -h 127.0.0.1 -p "$(cat "$STATE/$kind/pg-port")" \
    -U chervil -d "$database" -v ON_ERROR_STOP=1; }
  # Bash forgets the ends of the pipe as soon as the session is over, which may be before all was read.
  exec {answers}<&"${SESSION[0]}" {questions}>&"${SESSION[1]}"
  printf 'begin isolation level repeatable read read only;\nselect pg_export_snapshot();\n' >&"$questions"
  read -r snapshot <&"$answers" || fail "PostgreSQL did not answer."
  pg "$kind" pg_dump -Fc -Z 6 --snapshot="$snapshot" -f "$into/data" "$database" || fail "the data could not be read."
  printf '%s;\n\\echo end\n\\q\n' "$COUNTS" >&"$questions"
  : >"$into/rows"
  while read -r line <&"$answers" && [ "$line" != end ]; do printf 'rows %s\n' "$line" >>"$into/rows"; done
  exec {answers}<&- {questions}>&-
  wait "${SESSION_PID:-}" 2>/dev/null || true
}

schema_of() { # kind database
  sql "$1" "$2" "select max(version::int) from flyway_schema_history where success and version is not null"
}

schema_here() {
  find server/src/main/resources/db/migration -name 'V*__*.sql' | sed 's/.*\/V\([0-9]*\)__.*/\1/' | sort -n | tail -n 1
}

backup() { # kind file passphrase-file
  local kind=$1 file=$2 pass=$3 was=up form=plain body
  [ -f "$STATE/$kind/password" ] || fail "there is no data here to back up."
  case $file in -*|'') fail "where to? ./chervil backup FILE" ;; esac
  [ ! -d "$file" ] || fail "$file is a folder."
  mkdir -p "$(dirname "$file")"
  workplace
  database_runs "$kind" || was=down
  database_up "$kind"
  dump "$kind" chervil "$work"
  { printf 'made %s\nschema %s\ndata %s\n' "$(date -u +%Y-%m-%dT%H:%M:%SZ)" "$(schema_of "$kind" chervil)" "$(sum_of "$work/data")"
    cat "$work/rows"; } >"$work/manifest"
  tar -C "$work" --format=ustar --owner=0 --group=0 --mtime=@0 -cf "$work/body" manifest data
  body=$work/body
  if [ -n "$pass" ]; then
    command -v gpg >/dev/null || need_packages gpg:/usr/bin/gpg
    gpg_quiet "$pass" --symmetric --cipher-algo AES256 -o "$work/sealed" "$body" || fail "it could not be sealed: $(tail -n 1 "$work/gpg.log")"
    body=$work/sealed; form=sealed
  fi
  { printf '%s %s %s\n' "$BACKUP_MARK" "$form" "$(sum_of "$body")"; cat "$body"; } >"$file.part" || fail "$file could not be written."
  sync "$file.part"
  mv "$file.part" "$file"
  [ "$was" = up ] || database_down "$kind"
  say "Backed up to $file, $(stat -c %s "$file") bytes."
}

# Opens a backup into $work, or refuses it; nothing else is touched.
open_backup() { # file passphrase-file
  local file=$1 pass=$2 head form sum
  [ -f "$file" ] || fail "there is no file $file."
  head=$(head -c 120 "$file" | head -n 1 | tr -d '\0')
  [[ $head =~ ^"$BACKUP_MARK"\ (plain|sealed)\ ([0-9a-f]{64})$ ]] || fail "this is no backup of Chervil."
  form=${BASH_REMATCH[1]} sum=${BASH_REMATCH[2]}
  tail -c "+$((${#head} + 2))" "$file" >"$work/body"
  [ "$(sum_of "$work/body")" = "$sum" ] || fail "this backup is damaged: its sum does not fit."
  if [ "$form" = sealed ]; then
    [ -n "$pass" ] || fail "this backup is sealed: give --passphrase-file FILE."
    command -v gpg >/dev/null || need_packages gpg:/usr/bin/gpg
    gpg_quiet "$pass" --decrypt -o "$work/open" "$work/body" || fail "the passphrase does not open it."
    mv "$work/open" "$work/body"
  fi
  [ "$(tar -tf "$work/body" 2>/dev/null | tr '\n' ' ')" = "manifest data " ] || fail "this backup is damaged: it holds something else."
  tar -C "$work" --no-same-owner --no-same-permissions -xf "$work/body" manifest data
  [ "$(told data)" = "$(sum_of "$work/data")" ] || fail "this backup is damaged: its data does not fit."
  [[ $(told schema) =~ ^[0-9]{1,4}$ ]] || fail "this backup is damaged: it does not say what it is of."
  [ "$(told schema)" -le "$(schema_here)" ] || fail "this backup is of a newer Chervil; bring this one up to date first."
}

told() { sed -n "s/^$1 \(.*\)$/\1/p" "$work/manifest" | head -n 1; }

# ---- a store that speaks S3, by curl's own signatures ------------------------------

store_wanted() { [ -n "${CHERVIL_BACKUP_STORE:-}" ]; }

# The key stands in a file of two lines, its name and its secret, and is never seen among the processes.
store() { # curl arguments...
  [ -r "${CHERVIL_BACKUP_STORE_KEY_FILE:-}" ] || fail "CHERVIL_BACKUP_STORE_KEY_FILE must name a file with the store's key and secret."
  sed -n '1{N; s/[\\"]/\\&/g; s/\n/:/; s/.*/user = "&"/; p; q}' "$CHERVIL_BACKUP_STORE_KEY_FILE" |
    curl -fsS -K - --aws-sigv4 "aws:amz:${CHERVIL_BACKUP_STORE_REGION:-us-east-1}:s3" --connect-timeout 20 --retry 2 "$@"
}

store_place() { printf '%s/%s' "${CHERVIL_BACKUP_STORE%/}" "$1"; } # file name

# What a store took is asked for again: it must be what was sent.
store_put() { # file
  local place back; place=$(store_place "$(basename "$1")"); back=$1.back
  store -o /dev/null -H "x-amz-content-sha256: $(sum_of "$1")" -T "$1" "$place" || return 1
  store -o "$back" "$place" && cmp -s "$1" "$back" && rm -f "$back" || { rm -f "$back"; return 1; }
}

store_take() { # file name, where to
  command -v curl >/dev/null || need_packages curl:/usr/bin/curl
  store -o "$2" "$(store_place "$1")" || fail "the store has no $1, or does not give it."
}

restore() { # kind file passphrase-file replace
  export PGOPTIONS="-c client_min_messages=warning"
  local kind=$1 file=$2 pass=$3 replace=$4 new=chervil_restoring old=chervil_before_restore
  workplace
  case $file in
    store:*) store_wanted || fail "CHERVIL_BACKUP_STORE says where the store is."
      store_take "${file#store:}" "$work/taken"; file=$work/taken ;;
  esac
  open_backup "$file" "$pass"
  mkdir -p "$STATE/$kind"
  need_packages "postgresql-15:$PG_BIN/initdb"
  database_up "$kind"
  if [ "$replace" = no ] && has_data "$kind"; then
    fail "there is data here already. With --replace the backup takes its place; what is here is kept as $old."
  fi
  sql "$kind" postgres "drop database if exists $new with (force)"
  sql "$kind" postgres "create database $new"
  if ! pg "$kind" pg_restore --exit-on-error --no-owner --single-transaction -d "$new" "$work/data" 2>"$work/restore.log"; then
    sql "$kind" postgres "drop database $new with (force)"
    fail "PostgreSQL could not read it: $(head -n 1 "$work/restore.log")"
  fi
  pg "$kind" psql -qtAX -d "$new" -c "$COUNTS" </dev/null | sed 's/^/rows /' >"$work/now"
  if ! grep '^rows ' "$work/manifest" | cmp -s - "$work/now"; then
    sql "$kind" postgres "drop database $new with (force)"
    fail "this backup is damaged: rows are missing."
  fi
  app_stop "$kind"
  sql "$kind" postgres "drop database if exists $old with (force)"
  if [ -n "$(sql "$kind" postgres "select 1 from pg_database where datname = 'chervil'")" ]; then
    sql "$kind" postgres "select pg_terminate_backend(pid) from pg_stat_activity where datname = 'chervil'" >/dev/null
    sql "$kind" postgres "alter database chervil rename to $old"
  fi
  sql "$kind" postgres "alter database $new rename to chervil"
  say "Restored what was backed up at $(told made), $(wc -l <"$work/now") tables."
}

has_data() { # kind
  [ -n "$(sql "$1" postgres "select 1 from pg_database where datname = 'chervil'")" ] &&
    [ "$(sql "$1" chervil "select to_regclass('public.site') is not null")" = t ] &&
    [ "$(sql "$1" chervil "select exists (select from site)")" = t ]
}

database_runs() { # kind
  [ -f "$STATE/$1/pg-place" ] && as_database_user "$PG_BIN/pg_ctl" -D "$(cat "$STATE/$1/pg-place")" status >/dev/null 2>&1 </dev/null
}

# Keeps the newest of each of the last days, weeks and months that have one.
rotate() { # folder
  local folder=$1 file day kept=() days=() weeks=() months=()
  while IFS= read -r file; do
    day=$(basename "$file" | sed -n 's/^chervil-\([0-9]\{8\}\)T.*/\1/p'); [ -n "$day" ] || continue
    if keeps days "$day" $MANY_DAYS || keeps weeks "$(date -d "$day" +%G%V)" $MANY_WEEKS || keeps months "${day:0:6}" $MANY_MONTHS; then
      kept+=("$file")
    else
      rm -f "$file"
      if store_wanted; then store -o /dev/null -X DELETE "$(store_place "$(basename "$file")")" || true; fi
    fi
  done < <(find "$folder" -maxdepth 1 -name 'chervil-*.backup' | sort -r)
}

# Whether this is the first seen of its day, week or month while there is still room.
keeps() { # names value most
  local -n seen=$1
  case " ${seen[*]:-} " in *" $2 "*) return 1 ;; esac
  [ "${#seen[@]}" -lt "$3" ] || return 1
  seen+=("$2")
}

# Puts a backup into the store as well, if there is one.
kept_elsewhere() { # file
  store_wanted || return 0
  store_put "$1" || fail "the store did not keep $(basename "$1")."
  say "Kept in the store, as $(basename "$1")."
}

nightly() { # kind
  local kind=$1 folder=$STATE/$1/backups to file
  to=${CHERVIL_BACKUP_TO:-$folder}
  file=$to/chervil-$(date -u +%Y%m%dT%H%M%SZ).backup
  mkdir -p "$folder" "$to"
  if (backup "$kind" "$file" "${CHERVIL_BACKUP_PASSPHRASE_FILE:-}" && kept_elsewhere "$file") >"$folder/log" 2>&1; then
    printf 'ok %s %s\n' "$(date -u +%Y-%m-%dT%H:%M:%SZ)" "$(stat -c %s "$file")" >"$folder/last"
    rotate "$to"
    cat "$folder/log"
  else
    printf 'failed %s %s\n' "$(date -u +%Y-%m-%dT%H:%M:%SZ)" "$(tail -n 1 "$folder/log")" >"$folder/failed"
    fail "$(tail -n 1 "$folder/log")"
  fi
  rm -f "$folder/failed"
}

verify() { # kind
  local kind=$1 found
  [ -f "$STATE/$kind/password" ] || fail "there is no data here to verify."
  database_up "$kind"
  found=$(pg "$kind" psql -qtAX -d chervil -v ON_ERROR_STOP=1 -f ops/verify.sql </dev/null) || fail "the data could not be read."
  printf '%s\n' "$found" | sed 's/^0|/  ok   /; t; s/^\([0-9]*\)|/\1 broken: /'
  if printf '%s\n' "$found" | grep -qv '^0|'; then fail "some of what must be true is not."; fi
  say "Everything that must be true is."
}
