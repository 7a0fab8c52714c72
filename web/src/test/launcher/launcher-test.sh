#!/usr/bin/env bash
# Tries the launcher as a person would: starts, kills, starts again, and everything it must refuse in plain words.
# Prints a line a check and closes with the count.
set -uo pipefail
cd "$(dirname "$0")/../../../.."

WORK=$(mktemp -d /tmp/yarbel-launcher.XXXXXX)
chmod 755 "$WORK"
PORT=$((21000 + RANDOM % 9000))
passed=0
failed=0

check() { # what, command...
  local what=$1; shift
  if "$@"; then passed=$((passed + 1)); printf 'ok    %s\n' "$what"
  else failed=$((failed + 1)); printf 'NOT   %s\n' "$what"; fi
}
says() { grep -qF -- "$2" "$1" || { printf '      it said: %s\n' "$(tail -n 4 "$1")"; return 1; }; }
quiet() { ! grep -qE 'Exception|^[[:space:]]+at ' "$1"; }
await_ready() { # log, process: as long as the launcher lives, which has limits of its own
  until grep -q 'is ready at' "$1"; do
    kill -0 "$2" 2>/dev/null || break
    sleep 0.1
  done
  grep -q 'is ready at' "$1" && return 0
  printf '      it said: %s\n' "$(tail -n 4 "$1")"; return 1
}
page() { curl -s -o /dev/null -w '%{http_code}' "http://127.0.0.1:$PORT$1" 2>/dev/null || true; }
served() { # within so many seconds
  for _ in $(seq $(($1 * 5))); do [ "$(page /login)" = 200 ] && return 0; sleep 0.2; done
  return 1
}
told() { # log, words, seconds
  for _ in $(seq $(($3 * 5))); do grep -qF -- "$2" "$1" && return 0; sleep 0.2; done
  says "$1" "$2"
}
gone() { ! pgrep -f -- "-Dyarbel.data=$WORK/data " >/dev/null && ! pgrep -f -- "postgres -D $WORK/data/db" >/dev/null; }
cleanup() {
  ./yarbel stop --data-dir "$WORK/data" >/dev/null 2>&1
  ./yarbel stop --data-dir "$WORK/own" >/dev/null 2>&1
  rm -rf "$WORK"
}
trap cleanup EXIT

./yarbel demo --port "$PORT" --data-dir "$WORK/data" >"$WORK/first.log" 2>&1 &
first=$!
check "the demo starts" await_ready "$WORK/first.log" "$first"
check "it says where" says "$WORK/first.log" "Yarbel is ready at http://127.0.0.1:$PORT"
check "it says the sign-ins" says "$WORK/first.log" "coach@tarnbrook.example"
check "it serves the sign-in page" test "$(page /login)" = 200

./yarbel demo --port "$PORT" --data-dir "$WORK/other" >"$WORK/port.log" 2>&1
check "a taken port is told" says "$WORK/port.log" "The port $PORT is taken by another program."
./yarbel demo --port $((PORT + 1)) --data-dir "$WORK/data" >"$WORK/busy.log" 2>&1
check "a data folder in use is told" says "$WORK/busy.log" "is in use by another run"

# the launcher alone is killed: the application and the database go on and hold the port
kill -9 "$first"; wait "$first" 2>/dev/null
began=$(date +%s%N)
./yarbel demo --port "$PORT" --data-dir "$WORK/data" >"$WORK/second.log" 2>&1 &
second=$!
check "a killed run leaves nothing in the way" await_ready "$WORK/second.log" "$second"
printf '      started again after a kill in %s ms\n' $((($(date +%s%N) - began) / 1000000))
check "it serves again" test "$(page /login)" = 200

# what dies is started again: the database first, then the application
app=$(cat "$WORK/data/app.pid")
if [ "$(id -u)" -eq 0 ]; then
  check "the application does not run as root" test "$(ps -o user= -p "$app")" = yarbel
fi
check "its logs are its own" test "$(stat -c %a "$WORK/data/log/app.log" "$WORK/data/log/security.log" | tr '\n' ' ')" = "600 600 "
kill -9 "$(head -n 1 "$WORK/data/db/postmaster.pid")"
sleep 0.3
code=$(page /login)
check "without its database it says so on its own page" test "$code" = 503 -o "$code" = 200
check "the launcher notices" told "$WORK/second.log" "The database ended by itself" 30
check "and starts it again" told "$WORK/second.log" "The database is there again" 60
check "the application goes on by itself" served 60
check "it is the same one" kill -0 "$app"
kill -9 "$app"
check "a killed application is noticed" told "$WORK/second.log" "The application ended by itself" 30
check "and started again" told "$WORK/second.log" "The application is there again" 300
check "it serves once more" served 60
check "health is told on this machine" test "$(page /health)" = 200
check "a device nobody knows is turned away" test "$(./yarbel sensor --port "$PORT" --token made-up-token-of-no-device >"$WORK/sensor.log" 2>&1; echo $?)" = 1
check "with the reason" says "$WORK/sensor.log" "(401)"
kill -TERM "$second"; wait "$second"
check "TERM stops the application and its database" gone

began=$(date +%s%N)
./yarbel demo --port "$PORT" --data-dir "$WORK/data" >"$WORK/third.log" 2>&1 &
third=$!
check "a warm start is ready" await_ready "$WORK/third.log" "$third"
printf '      warm start in %s ms\n' $((($(date +%s%N) - began) / 1000000))
./yarbel stop --data-dir "$WORK/data" >"$WORK/stop.log" 2>&1
check "stop stops it" says "$WORK/stop.log" "Stopped."
check "stop leaves nothing running" gone

check "the log of starts before is kept" test "$(grep -c 'Started YarbelApplication' "$WORK/data/log/app.log")" -ge 4
: >"$WORK/data/format"
./yarbel demo --port "$PORT" --data-dir "$WORK/data" >"$WORK/empty.log" 2>&1
check "a format that was cut off is told" says "$WORK/empty.log" "is empty: its writing was cut off"
echo 1 >"$WORK/data/format"
mv "$WORK/data/db/PG_VERSION" "$WORK/aside"
files=$(find "$WORK/data/db" | wc -l)
./yarbel demo --port "$PORT" --data-dir "$WORK/data" >"$WORK/half.log" 2>&1
check "a database that is not all there is told" says "$WORK/half.log" "is no whole database: its PG_VERSION is missing"
check "and not touched" test "$(find "$WORK/data/db" | wc -l)" = "$files"
mv "$WORK/aside" "$WORK/data/db/PG_VERSION"
YARBEL_LEAST_MB=99999999 ./yarbel demo --port "$PORT" --data-dir "$WORK/data" >"$WORK/full.log" 2>&1
check "a full disk is told before anything is started" says "$WORK/full.log" "MB free. Nothing was started and nothing is lost"
mkdir -p "$WORK/making/db.making.old"
timeout 120 ./yarbel database --data-dir "$WORK/making" >"$WORK/making.log" 2>&1
check "a making that was cut off is told and stays" says "$WORK/making.log" "was cut off lies in $WORK/making/db.making.old"
check "it is there" test -d "$WORK/making/db.making.old"
./yarbel database-stop --data-dir "$WORK/making" >/dev/null 2>&1
echo 999 >"$WORK/data/format"
./yarbel demo --port "$PORT" --data-dir "$WORK/data" >"$WORK/format.log" 2>&1
check "a data folder of another version is told" says "$WORK/format.log" "was written by another version of Yarbel"
echo 1 >"$WORK/data/format"
own_pg=$(cat "$WORK/data/db/PG_VERSION")
echo 9 >"$WORK/data/db/PG_VERSION"
./yarbel demo --port "$PORT" --data-dir "$WORK/data" >"$WORK/pg.log" 2>&1
check "a database of another PostgreSQL is told" says "$WORK/pg.log" "was made with PostgreSQL 9, which is not installed"
echo "$own_pg" >"$WORK/data/db/PG_VERSION"
: >"$WORK/file"
./yarbel demo --port "$PORT" --data-dir "$WORK/file/data" >"$WORK/file.log" 2>&1
check "a folder that cannot be made is told" says "$WORK/file.log" "cannot be made"
./yarbel demo --port 99999 >"$WORK/option.log" 2>&1
check "a wrong port is told" says "$WORK/option.log" "The port must be a number from 1 to 65535 but was 99999."
./yarbel demo --today 2026-13-40 >"$WORK/today.log" 2>&1
check "a wrong day is told" says "$WORK/today.log" "The day must look like"
./yarbel sensor --token short >"$WORK/token.log" 2>&1
check "a token that can be none is told" says "$WORK/token.log" "sensor needs --token with the token of a device"
./yarbel sensor --token made-up-token-of-no-device --reps 1000 >"$WORK/reps.log" 2>&1
check "so many reps are told" says "$WORK/reps.log" "The reps must be a number from 1 to 100 but were 1000."
./yarbel sensor --token made-up-token-of-no-device --speed fast >"$WORK/speed.log" 2>&1
check "a speed that is none is told" says "$WORK/speed.log" "The speed must look like 0.48 but was fast."
./yarbel demo --start-minutes soon >"$WORK/minutes.log" 2>&1
check "a wrong limit of minutes is told" says "$WORK/minutes.log" "The minutes of a start must be from 1 to 9999 but were soon."
# a machine on which the application takes longer than it may stand still is waited for; one on which nothing moves is not
mkdir -p "$WORK/slow" "$WORK/dead"
real=$(command -v java)
cat >"$WORK/slow/Slow.java" <<'JAVA'
import com.sun.net.httpserver.HttpServer;
import java.net.InetSocketAddress;

class Slow {
  public static void main(String[] arguments) throws Exception {
    for (int step = 1; step <= 30; step++) {
      System.out.println("step " + step);
      Thread.sleep(200);
    }
    HttpServer server = HttpServer.create(new InetSocketAddress("127.0.0.1", Integer.parseInt(arguments[0])), 0);
    server.createContext("/health/readiness", exchange -> exchange.sendResponseHeaders(200, -1));
    server.start();
  }
}
JAVA
printf '#!/usr/bin/env bash\ncase "$*" in *ArchiveClassesAtExit*) exit 1 ;; *jarmode*) exec %q "$@" ;; esac\nexec %q %q %s\n' "$real" "$real" "$WORK/slow/Slow.java" $((PORT + 2)) >"$WORK/slow/java"
printf '#!/usr/bin/env bash\ncase "$*" in *ArchiveClassesAtExit*) exit 1 ;; *jarmode*) exec %q "$@" ;; esac\nexec sleep 600\n' "$real" >"$WORK/dead/java"
chmod +x "$WORK"/slow/java "$WORK"/dead/java
rm -rf "$WORK/data2"
PATH="$WORK/slow:$PATH" YARBEL_STALLED_SECONDS=3 ./yarbel demo --port $((PORT + 2)) --data-dir "$WORK/data2" >"$WORK/slow.log" 2>&1 &
slow=$!
check "a slow start is waited for while it gets on" await_ready "$WORK/slow.log" "$slow"
kill -TERM "$slow" 2>/dev/null; wait "$slow" 2>/dev/null
PATH="$WORK/dead:$PATH" YARBEL_STALLED_SECONDS=3 ./yarbel demo --port $((PORT + 2)) --data-dir "$WORK/data2" >"$WORK/dead.log" 2>&1
check "one that stands still is given up" says "$WORK/dead.log" "The application did not start. It has done nothing for 3 seconds."
if [ "$(id -u)" -eq 0 ]; then
  mkdir -p "$WORK/closed" && chmod 700 "$WORK/closed"
  timeout 60 ./yarbel database --data-dir "$WORK/closed/data" >"$WORK/closed.log" 2>&1
  check "a folder the database cannot reach is answered with another" says "$WORK/closed.log" "cannot reach $WORK/closed/data; the data is in /var/lib/yarbel/"
  ./yarbel database-stop --data-dir "$WORK/closed/data" >/dev/null 2>&1
  rm -rf "$(sed -n 's/^data=//p' "$WORK/closed.log")"
fi

./yarbel start --port "$PORT" --data-dir "$WORK/own" >"$WORK/own.log" 2>&1 &
own=$!
check "a club of one's own starts" await_ready "$WORK/own.log" "$own"
# the code is printed after the word that it is ready, once the first visit was found open
until grep -qF "give the one-time code" "$WORK/own.log"; do kill -0 "$own" 2>/dev/null || break; sleep 0.2; done
check "it prints the one-time code" says "$WORK/own.log" "give the one-time code"
check "the first visit is open" test "$(page /setup)" = 200
code=$(sed -n 's/.*one-time code //p' "$WORK/own.log")
token() { curl -s -c "$WORK/jar" -b "$WORK/jar" "http://127.0.0.1:$PORT/setup" | grep -o 'name="csrf" content="[^"]*"' | sed 's/.*content="//;s/"//'; }
begin() { curl -s -o "$WORK/answer" -w '%{http_code}' -c "$WORK/jar" -b "$WORK/jar" "http://127.0.0.1:$PORT/setup" --data-urlencode "_csrf=$(token)" \
  -d "code=$1&club=Own+Club&unit=KG&zone=UTC&name=Owner&email=owner@own.example&password=granite+lantern+kayak"; }
check "a wrong code is refused" test "$(begin wrong)" = 422
check "and said beside its field" says "$WORK/answer" "This is not the code."
check "the code makes the owner's account" test "$(begin "$code")" = 302
check "and the first visit is over" test "$(page /setup)" = 404
# another club, and somebody who forgot everything
./yarbel club add "Second Club" --data-dir "$WORK/own" >"$WORK/club.log" 2>&1
check "another club is added while it runs" says "$WORK/club.log" "The club Second Club is there."
join=$(grep -o '/join/[A-Za-z0-9_-]*' "$WORK/club.log")
check "its owner's link is open" test "$(page "$join")" = 200
./yarbel let-in owner@own.example --data-dir "$WORK/own" >"$WORK/letin.log" 2>&1
check "somebody is let in at the machine" test "$(page "$(grep -o '/password/[A-Za-z0-9_-]*' "$WORK/letin.log")")" = 200
./yarbel let-in nobody@own.example --data-dir "$WORK/own" >"$WORK/nobody.log" 2>&1
check "nobody is told to be nobody" says "$WORK/nobody.log" "Nobody signs in with nobody@own.example."
./yarbel club add --data-dir "$WORK/own" >"$WORK/noname.log" 2>&1
check "a club without a name is told" says "$WORK/noname.log" "club needs: add NAME"
./yarbel stop --data-dir "$WORK/own" >/dev/null 2>&1
wait "$own"
./yarbel club add "Third Club" --data-dir "$WORK/own" >"$WORK/club3.log" 2>&1
check "another club is added while nothing runs" says "$WORK/club3.log" "The club Third Club is there."
check "and the database is stopped again" test ! -f "$WORK/own/db/postmaster.pid"

# backups: while it runs and while it does not, proved, put back, and everything a file can be that is none
rows() { tar -xOf "$1" manifest | sed -n 's/^rows //p'; }
began=$(date +%s%N)
./yarbel backup "$WORK/cold.tar" --data-dir "$WORK/data" >"$WORK/backup.log" 2>&1
check "the demo is backed up and proved" says "$WORK/backup.log" "proved by restoring it and counting its rows"
took=$((($(date +%s%N) - began) / 1000000)); printf '      a backup in %s ms, with the start of its database\n' "$took"
check "in under ten seconds" test "$took" -lt 10000
check "nobody else reads it" test "$(stat -c %a "$WORK/cold.tar")" = 600
./yarbel backup "$WORK/cold.tar" --data-dir "$WORK/data" >"$WORK/twice.log" 2>&1
check "a backup is written over none" says "$WORK/twice.log" "There is a file"
./yarbel restore "$WORK/cold.tar" --data-dir "$WORK/back" >"$WORK/restore.log" 2>&1
check "it is restored into an empty folder" says "$WORK/restore.log" "Restored: "
./yarbel backup "$WORK/again.tar" --data-dir "$WORK/back" >/dev/null 2>&1
check "with every row" test "$(rows "$WORK/cold.tar")" = "$(rows "$WORK/again.tar")"
./yarbel restore "$WORK/cold.tar" --data-dir "$WORK/back" >"$WORK/over.log" 2>&1
check "over records it is refused" says "$WORK/over.log" "There are records in $WORK/back. Nothing was changed."
./yarbel restore "$WORK/cold.tar" --data-dir "$WORK/back" --replace >"$WORK/replace.log" 2>&1
check "with --replace what was there is kept aside" says "$WORK/replace.log" "What was there before is in $WORK/back/before-"
mkdir -p "$WORK/bad"; tar -C "$WORK/bad" -xf "$WORK/cold.tar"
head -c 300000 "$WORK/cold.tar" >"$WORK/bad1.tar"
echo "no tar" >"$WORK/bad2.tar"
sed -i 's/^schema .*/schema 99999/' "$WORK/bad/manifest"; tar -C "$WORK/bad" -cf "$WORK/bad3.tar" manifest db.dump clips
sed -i 's/^schema .*/schema 1/' "$WORK/bad/manifest"; cp "$WORK/bad/db.dump" "$WORK/dump"; printf x >>"$WORK/bad/db.dump"; tar -C "$WORK/bad" -cf "$WORK/bad4.tar" manifest db.dump clips
cp "$WORK/dump" "$WORK/bad/db.dump"; tar -C "$WORK/bad" -P --transform 's|db.dump|../../climbed|' -cf "$WORK/bad5.tar" manifest db.dump
ln -s /etc/passwd "$WORK/bad/clips/link"; tar -C "$WORK/bad" -cf "$WORK/bad6.tar" manifest db.dump clips; rm "$WORK/bad/clips/link"
sed -i 's/^yarbel-backup .*/yarbel-backup 9/' "$WORK/bad/manifest"; tar -C "$WORK/bad" -cf "$WORK/bad7.tar" manifest db.dump clips
while IFS='|' read -r file words; do
  ./yarbel restore "$WORK/$file.tar" --data-dir "$WORK/back2" >"$WORK/$file.log" 2>&1
  check "$file: $words" says "$WORK/$file.log" "$words"
done <<'BAD'
bad1|is no backup of Yarbel, or is cut short. Nothing was changed.
bad2|is no backup of Yarbel, or is cut short. Nothing was changed.
bad3|was made by a newer version of Yarbel
bad4|is not what was written: its sum is another one. Nothing was changed.
bad5|holds what no backup holds. Nothing was changed.
bad6|holds what no backup holds. Nothing was changed.
bad7|was made by another version of Yarbel
BAD
check "and nothing was left" test -z "$(ls -A "$WORK/back2" | grep -v '^lock$')"
check "and nothing climbed out" test ! -e "$WORK/climbed"

# all of a club goes out, comes in elsewhere, and goes out the same
echo 1 >"$WORK/data/format"
./yarbel export-club "$WORK/club1.zip" --data-dir "$WORK/data" >"$WORK/export.log" 2>&1
check "a club goes out" says "$WORK/export.log" "All of the club is in the file."
./yarbel import-club "$WORK/club1.zip" --data-dir "$WORK/moved" >"$WORK/import.log" 2>&1
check "and comes into an empty installation" says "$WORK/import.log" "Tarnbrook Barbell Hall is there: "
./yarbel export-club "$WORK/club2.zip" --data-dir "$WORK/moved" >/dev/null 2>&1
sums() { local d; d=$(mktemp -d "$WORK/unpacked.XXXXXX"); (cd "$d" && jar xf "$1" && cat tables/* | sha256sum); }
check "it is the same, byte for byte" test "$(sums "$WORK/club1.zip")" = "$(sums "$WORK/club2.zip")" -a -s "$WORK/club2.zip"
./yarbel import-club "$WORK/bad2.tar" --data-dir "$WORK/moved" >"$WORK/noclub.log" 2>&1
check "what is none is told" says "$WORK/noclub.log" "The file is no ZIP, or is cut short. Nothing was taken in."

# every night, a few of each kind kept; and a newer PostgreSQL, which is this one under another number
mkdir -p "$WORK/nights" "$WORK/pg"
for ago in $(seq 1 400); do : >"$WORK/nights/yarbel-$(date -d "-$ago days" +%Y%m%d)-033000.tar"; done
version=$(cat "$WORK/back/db/PG_VERSION")
mkdir -p "$WORK/pg/$((version + 1))"; ln -s "/usr/lib/postgresql/$version" "$WORK/pg/$version"; ln -s "/usr/lib/postgresql/$version/bin" "$WORK/pg/$((version + 1))/bin"
YARBEL_PG_ROOT="$WORK/pg" YARBEL_BACKUP_NOW=1 ./yarbel start --port "$PORT" --data-dir "$WORK/back" --backup-dir "$WORK/nights" >"$WORK/night.log" 2>&1 &
night=$!
check "it starts with a newer PostgreSQL" await_ready "$WORK/night.log" "$night"
check "it says that the records are carried over" says "$WORK/night.log" "they are carried over, after a backup."
check "and keeps what was there" test -n "$(ls -d "$WORK"/back/before-2* 2>/dev/null)"
made() { for _ in $(seq 300); do [ -s "$WORK/back/log/backup.status" ] && return 0; sleep 0.2; done; return 1; }
check "the nightly backup is made" made
check "and told to the application" grep -q '^ok ' "$WORK/back/log/backup.status"
kept=$(ls "$WORK/nights" | wc -l)
check "7 days, 4 weeks and 6 months are kept ($kept)" test "$kept" -ge 12 -a "$kept" -le 17
check "the new one among them" test -n "$(find "$WORK/nights" -size +100k)"
kill -TERM "$night"; wait "$night"
./yarbel backup "$WORK/carried.tar" --data-dir "$WORK/back" >/dev/null 2>&1
check "every row is still there" test "$(rows "$WORK/cold.tar" | grep '^logged_set ')" = "$(rows "$WORK/carried.tar" | grep '^logged_set ')"

# reached by others: HTTPS by an authority of its own, which renews its certificate; plain HTTP tells the address alone
TLS=$((PORT + 4))
PLAIN=$((PORT + 5))
secure() { curl -s --cacert "$WORK/own/tls/root.crt" "https://localhost:$TLS$1" "${@:2}"; }
serial() { openssl s_client -connect "127.0.0.1:$TLS" -servername localhost </dev/null 2>/dev/null | openssl x509 -noout -serial; }
YARBEL_TLS_DAYS=1 YARBEL_TLS_LOOK_SECONDS=20 ./yarbel start --listen 127.0.0.1 --name yarbel.local --port "$TLS" --plain-port "$PLAIN" --data-dir "$WORK/own" >"$WORK/tls.log" 2>&1 &
tls=$!
check "it starts for others by HTTPS" await_ready "$WORK/tls.log" "$tls"
check "it says the address" says "$WORK/tls.log" "Yarbel is ready at https://yarbel.local:$TLS"
check "and shows it as a square" says "$WORK/tls.log" "████"
check "whoever trusts its authority is served" test "$(secure /login -o /dev/null -w '%{http_code}')" = 200
check "whoever does not is warned" test "$(curl -s -o /dev/null "https://localhost:$TLS/login"; echo $?)" = 60
secure /login -D "$WORK/heads" -o /dev/null
check "browsers are told to use TLS alone" grep -qi '^strict-transport-security: max-age=31536000' "$WORK/heads"
check "cookies are for TLS" test -z "$(grep -i '^set-cookie' "$WORK/heads" | grep -vi '; secure')"
check "plain HTTP tells the address of HTTPS" test "$(curl -s -o "$WORK/plain" -w '%{http_code} %{redirect_url}' "http://localhost:$PLAIN/me?secret=1")" = "308 https://yarbel.local:$TLS/"
check "and nothing else" test ! -s "$WORK/plain"
check "a form sent in the clear is taken by nobody" test "$(curl -s -o /dev/null -w '%{http_code}' -d email=a "http://localhost:$PLAIN/login")" = 308
check "health is not told in the clear" test "$(curl -s -o /dev/null -w '%{http_code}' -H 'X-Forwarded-For: 10.0.0.1' "http://localhost:$PLAIN/me")" = 308
check "the root is offered" test "$(secure /trust/yarbel-root.crt | openssl x509 -inform der -noout -fingerprint -sha256)" = "$(openssl x509 -in "$WORK/own/tls/root.crt" -noout -fingerprint -sha256)"
secure /trust >"$WORK/trust"
check "with its fingerprint" says "$WORK/trust" "$(openssl x509 -in "$WORK/own/tls/root.crt" -noout -fingerprint -sha256 | cut -d= -f2)"
check "the root speaks for a house alone" openssl x509 -in "$WORK/own/tls/root.crt" -noout -ext nameConstraints
check "keys are nobody else's" test "$(stat -c %a "$WORK/own/tls/root.key" "$WORK/own/tls/served/key.pem" | tr '\n' ' ')" = "600 600 "
named() { curl -s --cacert "$WORK/own/tls/root.crt" --resolve "yarbel.local:$TLS:127.0.0.1" -c "$WORK/door" -b "$WORK/door" "https://yarbel.local:$TLS$1" "${@:2}"; }
key=$(named /login | grep -o 'name="csrf" content="[^"]*"' | sed 's/.*content="//;s/"//')
named /login -o /dev/null --data-urlencode "_csrf=$key" --data-urlencode "email=owner@own.example" --data-urlencode "password=granite lantern kayak"
check "an owner whom others reach owes a second step" test "$(named / -o /dev/null -w '%{redirect_url}')" = "https://yarbel.local:$TLS/account/steps"
check "and gets no further without one" test "$(named /people -o /dev/null -w '%{http_code}')" = 302
before=$(serial)
renewed() { for _ in $(seq 350); do [ -n "$(serial)" ] && [ "$(serial)" != "$before" ] && return 0; sleep 0.2; done; return 1; }
check "a certificate that ends soon is renewed while it runs" renewed
kill -TERM "$tls"; wait "$tls"
openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -keyout "$WORK/club.key" -out "$WORK/club.crt" -days 30 -subj /CN=localhost -addext subjectAltName=DNS:localhost 2>/dev/null
openssl genpkey -algorithm EC -pkeyopt ec_paramgen_curve:P-256 -out "$WORK/other.key" 2>/dev/null
./yarbel start --listen 127.0.0.1 --port "$TLS" --plain-port 0 --tls-cert "$WORK/club.crt" --tls-key "$WORK/other.key" --data-dir "$WORK/own" >"$WORK/key.log" 2>&1
check "a key of another certificate is told" says "$WORK/key.log" "does not belong to the certificate"
./yarbel start --listen 127.0.0.1 --name localhost --port "$TLS" --plain-port 0 --tls-cert "$WORK/club.crt" --tls-key "$WORK/club.key" --data-dir "$WORK/own" >"$WORK/given.log" 2>&1 &
given=$!
check "a certificate of the club's own is served" await_ready "$WORK/given.log" "$given"
check "it is that one" test "$(curl -s --cacert "$WORK/club.crt" -o /dev/null -w '%{http_code}' "https://localhost:$TLS/login")" = 200
check "and no other root is offered" test "$(curl -s --cacert "$WORK/club.crt" -o /dev/null -w '%{http_code}' "https://localhost:$TLS/trust")" = 404
kill -TERM "$given"; wait "$given"
./yarbel start --listen example.org --data-dir "$WORK/own" >"$WORK/listen.log" 2>&1
check "a name to listen at is told" says "$WORK/listen.log" "A name goes with --name."
./yarbel start --behind-proxy 127.0.0.1 --data-dir "$WORK/own" >"$WORK/behind.log" 2>&1
check "a proxy without an address is told" says "$WORK/behind.log" "needs the address people open"
./yarbel start --behind-proxy 127.0.0.1 --base-url https://club.example --port "$TLS" --data-dir "$WORK/own" >"$WORK/proxied.log" 2>&1 &
proxied=$!
check "it starts behind a proxy" await_ready "$WORK/proxied.log" "$proxied"
from() { curl -s -o /dev/null -w '%{http_code}' "http://127.0.0.1:$TLS/login" "$@"; }
check "what the proxy took by HTTPS is served" test "$(from -H 'X-Forwarded-Proto: https' -H 'X-Forwarded-For: 10.1.2.3')" = 200
check "what it took in the clear is told the address" test "$(from -H 'X-Forwarded-For: 10.1.2.3')" = 308
check "nobody else is believed" test "$(curl -s -o /dev/null -w '%{http_code}' --interface 127.0.0.5 -H 'X-Forwarded-Proto: https' "http://127.0.0.1:$TLS/login")" = 308
kill -TERM "$proxied"; wait "$proxied"
for log in export import noclub backup twice restore over replace bad1 bad2 bad3 bad4 bad5 bad6 bad7 night club letin nobody noname tls key given listen behind proxied first port busy second third format pg file own empty half full; do
  check "no stack trace in what $log said" quiet "$WORK/$log.log"
done

printf '%d passed, %d failed\n' "$passed" "$failed"
[ "$failed" -eq 0 ]
