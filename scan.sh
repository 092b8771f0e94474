# usage: scan.sh "words|..." "cfg|cfg" "steps..."
rm -f /tmp/o.*; i=0
IFS='|'; for W in $1; do for c in $2; do IFS=' '; for st in $3; do i=$((i+1)); f=/tmp/o.$(printf %03d $i); echo "{ echo '$W $c $st'; env $c STEPS=$st npx tsx prog.tmp.ts '$W' 2>&1 | awk '/^[01]/{n++; if(n%(4*$st)==0) print} /top|tilt|depth|height/'; } > $f"; done; IFS='|'; done; done > /tmp/jobs.sh
xargs -P2 -d'\n' -n1 bash -c < /tmp/jobs.sh; cat /tmp/o.*
