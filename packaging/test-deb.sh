#!/bin/bash
# Installs the package in a clean system, starts what its unit starts, upgrades it with data, removes it.
# Usage: packaging/test-deb.sh FIRST.deb SECOND.deb WORKING-FOLDER   (as root; the second is a later version)
set -euo pipefail
first=$(realpath "$1") second=$(realpath "$2") work=$3
mkdir -p "$work"
clean=$(realpath "$work")/clean root=$(realpath "$work")/root
at=127.0.0.1:$((20000 + RANDOM % 10000))
say() { echo "test-deb: $*"; }
fail() { say "FAILED: $*" >&2; exit 1; }

if [ ! -e "$clean/.done" ]; then
    rm -rf "$clean"
    say "making a clean system"
    debootstrap --variant=minbase --include=adduser,systemd bookworm "$clean" >"$work/debootstrap.log" 2>&1 \
        || { tail -20 "$work/debootstrap.log"; fail "no clean system"; }
    touch "$clean/.done"
fi
rm -rf "$root"
cp -a "$clean" "$root"
cp "$first" "$root/first.deb"
cp "$second" "$root/second.deb"
# Nothing is started by the way: there is no systemd in here, and a chroot shares the machine's processes.
printf '#!/bin/sh\nexit 101\n' >"$root/usr/sbin/policy-rc.d"
chmod 755 "$root/usr/sbin/policy-rc.d"
within=(chroot "$root" /usr/bin/env -i PATH=/usr/sbin:/usr/bin:/sbin:/bin DEBIAN_FRONTEND=noninteractive)
inside() { "${within[@]}" "$@"; }

# The unit's own command, as its own user, with its own settings.
program=
start() {
    curl -s "http://$at/" >/dev/null && fail "somebody else is at $at"
    "${within[@]}" /bin/sh -c '
        set -e
        unit=/usr/lib/systemd/system/yard-notch.service
        . /etc/default/yard-notch
        command=$(sed -n "s/^ExecStart=//p" $unit)
        user=$(sed -n "s/^User=//p" $unit)
        umask $(sed -n "s/^UMask=//p" $unit)
        cd "$(sed -n "s/^WorkingDirectory=//p" $unit)"
        eval "exec setpriv --reuid=$user --regid=$user --clear-groups --no-new-privs $command"
    ' >"$work/program.log" 2>&1 &
    program=$!
    for _ in $(seq 100); do
        curl -sf "http://$at/api/about" >/dev/null && return
        kill -0 $program 2>/dev/null || break
        sleep 0.1
    done
    cat "$work/program.log"
    fail "it does not answer"
}
stop() {
    kill -TERM $program
    wait $program || { ended=$?; cat "$work/program.log"; fail "it did not end well: $ended"; }
    program=
}
trap '[ -z "$program" ] || kill -TERM $program 2>/dev/null || true' EXIT
kept() { curl -sf "http://$at/api/staff" | grep -q "Ida Reef"; }

say "installing"
inside dpkg -i /first.deb >"$work/install.log" 2>&1 || { cat "$work/install.log"; fail "it cannot be installed"; }
inside stat -c '%U:%G %a' /var/lib/yard-notch | grep -qx 'yard-notch:yard-notch 700' || fail "others may read the data"
[ -L "$root/etc/systemd/system/multi-user.target.wants/yard-notch.service" ] || fail "it is not started with the machine"
inside systemd-analyze verify /usr/lib/systemd/system/yard-notch.service >"$work/unit.log" 2>&1 || { cat "$work/unit.log"; fail "the unit is not sound"; }
# Of 100: what a program could do to its machine if somebody took it over.
inside systemd-analyze security --offline=yes --threshold=20 yard-notch.service >"$work/unit.log" 2>&1 \
    || { tail -1 "$work/unit.log"; fail "the unit lets the program do too much"; }
# An operator's own setting.
sed -i "s|^OPTIONS=.*|OPTIONS=\"--data /var/lib/yard-notch/school --listen $at\"|" "$root/etc/default/yard-notch"

say "starting, and writing something down"
start
answer=$(curl -s -X POST -H 'content-type: application/json' -d '{"name":"Ida Reef","role":"assistant"}' "http://$at/api/staff")
kept || fail "nothing was written down: $answer"
inside find /var/lib/yard-notch -not -user yard-notch | grep -q . && fail "files of somebody else"
inside find /var/lib/yard-notch -type f -perm /077 | grep -q . && fail "files that others may read"
stop

say "upgrading"
inside dpkg -i /second.deb >"$work/upgrade.log" 2>&1 || { cat "$work/upgrade.log"; fail "it cannot be upgraded"; }
inside dpkg-query -W -f '${Version}' yard-notch | grep -q -- '-2$' || fail "it is the older version still"
grep -q "$at" "$root/etc/default/yard-notch" || fail "the operator's setting is lost"
start
kept || fail "the data is lost"
stop

say "removing"
inside dpkg -r yard-notch >"$work/remove.log" 2>&1 || { cat "$work/remove.log"; fail "it cannot be removed"; }
[ ! -e "$root/usr/bin/yard-notch" ] && [ ! -e "$root/usr/lib/systemd/system/yard-notch.service" ] || fail "something is left"
inside dpkg -P yard-notch >"$work/purge.log" 2>&1 || { cat "$work/purge.log"; fail "it cannot be purged"; }
[ ! -e "$root/etc/default/yard-notch" ] || fail "its setting is left"
[ -s "$root/var/lib/yard-notch/school/yard-notch.db" ] || fail "the school was thrown away"
grep -q "The schools stay in" "$work/purge.log" || fail "nobody is told where the schools are"
rm -rf "$root"
say "installed, started, upgraded with data, removed; the data stays"
