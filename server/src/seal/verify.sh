#!/bin/sh
# Tells whether a sealed bundle is as it was when it was sealed.
#
#   sh verify.sh SEAL
#
# Run it in the folder the bundle was unpacked to. SEAL is what you received when the bundle was sealed: never what came with
# the bundle. Check this script first, by the manifest, as the page about verifying says: whoever alters a bundle may alter it too.
#
# It needs sh, sha256sum, awk, find, sort, grep, sed, tr, cmp, cut, od, wc, tail, head and mktemp; and openssl for the signature.
set -u
LC_ALL=C
export LC_ALL

no() {
  printf 'NOT AS IT WAS SEALED: %s\n' "$1" >&2
  exit 1
}

if [ $# -ne 1 ]; then
  echo 'Use: sh verify.sh SEAL, the 64 letters and digits of the message you received when it was sealed' >&2
  exit 2
fi
seal=$(printf '%s' "$1" | tr 'A-F' 'a-f')
case $seal in
*[!0-9a-f]*) no 'the seal you gave is no seal: it takes 64 of the letters a to f and digits' ;;
esac
[ ${#seal} -eq 64 ] || no 'the seal you gave is not 64 letters and digits long'

# A link may lead anywhere, and anything else that is no file holds nothing.
[ -z "$(find . ! -type f ! -type d -print)" ] || no 'a link lies in it, or something else that is no file'

# A text file that is there, holds no NUL, and whose last line is closed.
text() {
  [ -s "$1" ] || no "$1 is missing or empty"
  tr -d '\000' <"$1" | cmp -s - "$1" || no "$1 holds a NUL"
  [ "$(tail -c 1 "$1" | od -An -tx1 | tr -d ' \n')" = 0a ] || no "the last line of $1 is open"
}

text MANIFEST.sha256
own=$(sha256sum <MANIFEST.sha256)
[ "${own%% *}" = "$seal" ] || no 'it has another seal than the one you received'

part='[A-Za-z0-9_][A-Za-z0-9._-]*'
if grep -v -x -q -E "[0-9a-f]{64}  $part(/$part)*" MANIFEST.sha256; then no 'an odd line stands in its manifest'; fi
named=$(cut -c67- MANIFEST.sha256)
if printf '%s\n' "$named" | grep -x -q -E 'MANIFEST\.sha256|SEAL\.sig|SEAL\.pub'; then
  no 'its manifest names itself, or a seal'
fi
printf '%s\n' "$named" | sort -c -u 2>/dev/null || no 'the lines of its manifest are not in order, or one stands twice'
[ -z "$(printf '%s\n' "$named" | tr 'A-Z' 'a-z' | sort | uniq -d)" ] || no 'a name stands in its manifest twice, but for capitals'

all=$(printf '%s\nMANIFEST.sha256\nSEAL.pub\nSEAL.sig\n' "$named" | sort)
there=$(find . -type f -print | sed 's|^\./||' | sort)
[ "$all" = "$there" ] || no 'a file is missing, or one lies there that no line of its manifest names'
sha256sum --check --strict --quiet MANIFEST.sha256 >/dev/null 2>&1 || no "$(sha256sum --check --strict --quiet MANIFEST.sha256 2>&1 | head -n 1)"

if command -v openssl >/dev/null 2>&1; then
  openssl pkeyutl -verify -pubin -inkey SEAL.pub -rawin -in MANIFEST.sha256 -sigfile SEAL.sig >/dev/null 2>&1 ||
    no 'its signature is not of this manifest and key'
  # A key can be written in many ways: only the usual one is taken, so that no letter of it can be another.
  openssl pkey -pubin -in SEAL.pub 2>/dev/null | cmp -s - SEAL.pub || no 'SEAL.pub is not written as a key is'
  signed='signed by the key in SEAL.pub'
else
  signed='its signature was not looked at: there is no openssl here'
fi

text facts.chain
if grep -v -x -q -E '[0-9a-f]{64} \{.*\}' facts.chain; then no 'an odd line stands in facts.chain'; fi

# Each fact with the digest before it becomes a file, so that all digests are looked at by one call: a process for each fact is slow.
apart=$(mktemp -d) || no 'there is no room for temporary files'
trap 'rm -rf "$apart"' EXIT
trap 'exit 1' HUP INT TERM
awk -v apart="$apart" '
  BEGIN { ORS = ""; before = sprintf("%064d", 0) }
  {
    fact = apart "/" NR
    print before "\n" substr($0, 66) > fact
    close(fact)
    before = substr($0, 1, 64)
    print before "  " fact "\n" > (apart "/sums")
  }
' facts.chain || no 'facts.chain cannot be taken apart'
if ! sha256sum --check --strict "$apart/sums" >"$apart/told" 2>&1; then
  fault=$(grep -v ': OK$' "$apart/told" | head -n 1)
  fault=${fault#"$apart"/}
  no "fact ${fault%%:*} of facts.chain does not follow those before it"
fi
count=$(wc -l <facts.chain | tr -d ' ')
before=$(tail -n 1 facts.chain | cut -c1-64)

printf 'AS IT WAS SEALED\n'
printf 'files: %s, facts: %s, %s\n' "$(printf '%s\n' "$named" | wc -l | tr -d ' ')" "$count" "$signed"
printf 'last digest of the chain, as on page 1 of the report: %s\n' "$before"
