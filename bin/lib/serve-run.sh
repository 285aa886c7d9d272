#!/bin/bash
# serve-run.sh FILE COMMAND… : runs a program of bin/serve in place of this shell. One whose first process was killed
# leaves its workers behind, which go on holding its port and answering with what they had loaded: they go first.
file=$1; shift
program=$(readlink -f "$1")
old=$(cat "$file" 2>/dev/null)
left() { # the processes of that group that run this very program
  local stat line pid words
  for stat in /proc/[0-9]*/stat; do
    line=""
    { read -r line <"$stat"; } 2>/dev/null
    # Its name may hold spaces and brackets: the group is the third word behind the last bracket.
    read -r -a words <<<"${line##*) }"
    [ "${words[2]:-}" = "$old" ] || continue
    pid=${stat#/proc/}; pid=${pid%/stat}
    [ "$(readlink "/proc/$pid/exe")" = "$program" ] && echo "$pid"
  done
}
if [[ $old =~ ^[0-9]+$ ]] && [ "$old" != $$ ]; then
  for _ in $(seq 50); do
    pids=$(left)
    [ -n "$pids" ] || break
    # shellcheck disable=SC2086
    kill -9 $pids 2>/dev/null
    sleep 0.1
  done
fi
echo $$ >"$file"
exec "$@"
