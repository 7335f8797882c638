# The house network: a certificate authority of the site's own, and what to print for phones. Sourced by ./chervil.
#
# The authority is made once and may vouch for private addresses and local names alone, so that nobody who steals it can
# pretend to be a bank. The server's certificate is made anew when an address of this machine changes or it grows old.

CA_DAYS=3650 SERVER_DAYS=397 RENEW_SECONDS=$((60 * 86400))

private_address() { # address
  [[ $1 =~ ^(10\.|192\.168\.|172\.(1[6-9]|2[0-9]|3[01])\.|169\.254\.) ]]
}

# Addresses under which a phone in the house reaches this machine.
house_addresses() {
  local one
  if [ -n "${CHERVIL_HOUSE_ADDRESS:-}" ]; then printf '%s\n' "$CHERVIL_HOUSE_ADDRESS"; return; fi
  for one in $(hostname -I); do if private_address "$one"; then printf '%s\n' "$one"; fi; done
}

house_name() { hostname -s | tr 'A-Z' 'a-z' | tr -cd 'a-z0-9-'; }

house_authority() { # folder
  local tls=$1
  [ ! -f "$tls/authority.pem" ] || return 0
  mkdir -p "$tls"
  openssl ecparam -name prime256v1 -genkey -noout -out "$tls/authority.key"
  openssl req -x509 -new -key "$tls/authority.key" -sha256 -days "$CA_DAYS" -out "$tls/authority.pem" \
    -subj "/CN=Chervil of $(house_name) $(head -c 3 /dev/urandom | od -An -tx1 | tr -d ' \n')" -config <(cat <<CONFIG
[req]
distinguished_name=name
x509_extensions=authority
[name]
[authority]
basicConstraints=critical,CA:true,pathlen:0
keyUsage=critical,keyCertSign,cRLSign
subjectKeyIdentifier=hash
nameConstraints=critical,@within
[within]
permitted;IP.1=10.0.0.0/255.0.0.0
permitted;IP.2=172.16.0.0/255.240.0.0
permitted;IP.3=192.168.0.0/255.255.0.0
permitted;IP.4=169.254.0.0/255.255.0.0
permitted;IP.5=127.0.0.0/255.0.0.0
permitted;DNS.1=local
permitted;DNS.2=localhost
permitted;DNS.3=$(house_name)
CONFIG
) 2>/dev/null || fail "the site's certificate authority could not be made."
}

house_certificate() { # folder
  local tls=$1 names one
  names="DNS:localhost,DNS:$(house_name),DNS:$(house_name).local,IP:127.0.0.1"
  for one in $(house_addresses); do names+=",IP:$one"; done
  if [ "$(cat "$tls/names" 2>/dev/null)" = "$names" ] &&
    openssl x509 -in "$tls/server.pem" -noout -checkend "$RENEW_SECONDS" >/dev/null 2>&1; then
    return 0
  fi
  openssl ecparam -name prime256v1 -genkey -noout -out "$tls/server.key.ec"
  openssl pkcs8 -topk8 -nocrypt -in "$tls/server.key.ec" -out "$tls/server.key"
  rm -f "$tls/server.key.ec"
  openssl req -new -key "$tls/server.key" -subj "/CN=$(house_name).local" -out "$tls/request"
  openssl x509 -req -in "$tls/request" -CA "$tls/authority.pem" -CAkey "$tls/authority.key" -CAcreateserial -sha256 \
    -days "$SERVER_DAYS" -out "$tls/server.pem.part" -extfile <(printf '%s\n' \
      "subjectAltName=$names" "basicConstraints=critical,CA:false" "keyUsage=critical,digitalSignature" \
      "extendedKeyUsage=serverAuth") 2>/dev/null || fail "the server's certificate could not be made."
  mv "$tls/server.pem.part" "$tls/server.pem"
  rm -f "$tls/request"
  printf '%s' "$names" >"$tls/names"
}

# Sets what the server needs to serve the house.
house_settings() { # kind port pairing-port
  local kind=$1 port=$2 pairing=$3 tls=$STATE/$1/tls one urls=()
  [ -n "$(house_addresses)" ] || fail "this machine has no address in a house network."
  command -v openssl >/dev/null || need_packages openssl:/usr/bin/openssl
  house_authority "$tls"
  house_certificate "$tls"
  for one in $(house_addresses); do urls+=("https://$one:$port/"); done
  CHERVIL_HOUSE_ADDRESSES=$(IFS=,; printf '%s' "${urls[*]}")
  export CHERVIL_HOUSE_ADDRESSES CHERVIL_LISTEN=${CHERVIL_LISTEN:-0.0.0.0} CHERVIL_PAIRING_PORT=$pairing
  export CHERVIL_HOUSE_AUTHORITY=$tls/authority.pem
  CHERVIL_HOSTS=${CHERVIL_HOSTS:+$CHERVIL_HOSTS,}$(house_name),$(house_name).local
  export CHERVIL_HOSTS SERVER_SSL_CERTIFICATE=file:$tls/server.pem SERVER_SSL_CERTIFICATE_PRIVATE_KEY=file:$tls/server.key
}

# Where phones begin, in words and as a square code.
house_tell() { # kind
  local kind=$1 start
  start=http://$(house_addresses | head -n 1):$(cat "$STATE/$kind/pairing-port")/
  say ""
  say "On a phone in this house, open $start or point its camera here:"
  (cd web && node --input-type=module -e 'const { renderUnicodeCompact } = await import("uqr"); console.log(renderUnicodeCompact(process.argv[1]))' "$start" 2>/dev/null) || true
  say "Its certificate must show: $(openssl x509 -in "$STATE/$kind/tls/authority.pem" -noout -fingerprint -sha256 | cut -d= -f2 | tr ':' ' ')"
}
