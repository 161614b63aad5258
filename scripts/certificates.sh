#!/usr/bin/env bash
# The workshop's own certificate authority, and the certificate that the app shows to other devices.
#   scripts/certificates.sh FOLDER NAME...     names and IPv4 addresses that the app is reached under
# The authority is made once and may vouch for private addresses and these names only; the app's certificate is made
# again when a name is new or it ends within a month. Keys are readable by their owner alone.
set -euo pipefail
[ $# -ge 2 ] || { echo "Say where, and for which names: scripts/certificates.sh FOLDER NAME..." >&2; exit 2; }
folder=$1
shift
umask 077
mkdir -p "$folder"
month=$((30 * 24 * 3600))
names=
permitted='permitted;IP:10.0.0.0/255.0.0.0,permitted;IP:172.16.0.0/255.240.0.0,permitted;IP:192.168.0.0/255.255.0.0,permitted;IP:127.0.0.0/255.0.0.0'
for name in "$@"; do
  if [[ $name =~ ^[0-9.]+$ ]]; then
    names+="IP:$name,"
    [[ $name =~ ^(10|127|192\.168|172\.(1[6-9]|2[0-9]|3[01]))\. ]] || permitted+=",permitted;IP:$name/255.255.255.255"
  else
    names+="DNS:$name,"
    permitted+=",permitted;DNS:$name"
  fi
done
names=${names%,}
if [ ! -s "$folder/ca.crt" ] || [ ! -s "$folder/ca.key" ] || [ "$(cat "$folder/permitted" 2>/dev/null)" != "$permitted" ]; then
  echo "velvet-bezel: making the workshop's certificate authority in $folder; devices have to fetch its certificate (again)"
  openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 3650 -sha256 \
    -keyout "$folder/ca.key" -out "$folder/ca.crt" -subj "/CN=Velvet Bezel, this workshop" \
    -addext 'basicConstraints=critical,CA:TRUE,pathlen:0' -addext 'keyUsage=critical,keyCertSign,cRLSign' \
    -addext "nameConstraints=critical,$permitted" 2>/dev/null
  printf '%s\n' "$permitted" >"$folder/permitted"
  rm -f "$folder/server.crt"
fi
if [ -s "$folder/server.crt" ] && [ "$(cat "$folder/names" 2>/dev/null)" = "$names" ] \
  && openssl x509 -in "$folder/server.crt" -noout -checkend "$month" >/dev/null; then
  exit 0
fi
echo "velvet-bezel: making the app's certificate for $*"
openssl req -new -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -keyout "$folder/server.key" \
  -out "$folder/server.csr" -subj "/CN=Velvet Bezel" 2>/dev/null
printf '%s\n' 'basicConstraints=critical,CA:FALSE' 'keyUsage=critical,digitalSignature' 'extendedKeyUsage=serverAuth' \
  "subjectAltName=$names" >"$folder/server.ext"
openssl x509 -req -in "$folder/server.csr" -CA "$folder/ca.crt" -CAkey "$folder/ca.key" -days 397 -sha256 \
  -set_serial "0x$(openssl rand -hex 16)" -extfile "$folder/server.ext" -out "$folder/server.crt" 2>/dev/null
rm -f "$folder/server.csr" "$folder/server.ext"
printf '%s\n' "$names" >"$folder/names"
