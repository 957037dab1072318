# HTTPS on the local network: a phone gives a page no service worker and no wake lock without a secure context.

LAN_DIR="$VAR/lan"
LAN_PORT="${SPARROW_LAN_PORT:-8463}"

# The machine's own addresses, without loopback; IPv4, as that is what people type.
lan_addresses() { hostname -I 2>/dev/null | tr ' ' '\n' | grep -E '^[0-9]+(\.[0-9]+){3}$' | grep -v '^127\.' || true; }

# What the authority that phones learn to trust may vouch for: this machine's names, and addresses that exist only inside a network.
# Not its addresses of today alone: they change with every network, and each phone would have to be taught again.
permitted() {
  local name
  for name in "$@"; do [[ "$name" =~ ^[0-9.]+$ ]] || printf 'permitted;DNS:%s,' "$name"; done
  printf 'permitted;IP:%s,' 10.0.0.0/255.0.0.0 172.16.0.0/255.240.0.0 192.168.0.0/255.255.0.0 169.254.0.0/255.255.0.0
  printf 'permitted;IP:127.0.0.0/255.0.0.0'
}

# $@: the names and addresses the certificate must hold for. Made anew when they change or when it ends within a month.
make_certificate() {
  local name wanted names="" i=1
  wanted=$(printf '%s\n' "$@")
  mkdir -p "$LAN_DIR"
  if [ ! -s "$LAN_DIR/ca.crt" ] || ! openssl x509 -in "$LAN_DIR/ca.crt" -noout -ext nameConstraints 2>/dev/null | grep -q Permitted || ! openssl x509 -in "$LAN_DIR/ca.crt" -noout -checkend 34560000 >/dev/null; then
    rm -f "$LAN_DIR/server.crt"
    step "making the certificate authority" "See the lines above." lan-ca \
      openssl req -x509 -newkey rsa:3072 -nodes -sha256 -days 1825 -subj "/CN=Fleet Sparrow on $(hostname)" \
      -addext "basicConstraints=critical,CA:TRUE,pathlen:0" -addext "keyUsage=critical,keyCertSign,cRLSign" \
      -addext "nameConstraints=critical,$(permitted "$@")" \
      -keyout "$LAN_DIR/ca.key" -out "$LAN_DIR/ca.crt"
  fi
  if [ -s "$LAN_DIR/server.crt" ] && [ "$wanted" = "$(cat "$LAN_DIR/names" 2>/dev/null)" ] \
    && openssl x509 -in "$LAN_DIR/server.crt" -noout -checkend 2592000 >/dev/null; then
    return 0
  fi
  for name in "$@"; do
    [[ "$name" =~ ^[0-9.]+$ ]] && names+="IP.$i = $name"$'\n' || names+="DNS.$i = $name"$'\n'
    i=$((i + 1))
  done
  # Phones refuse a certificate that lasts longer than 398 days.
  cat >"$LAN_DIR/server.conf" <<CONF
[req]
distinguished_name = subject
prompt = no
[subject]
CN = Fleet Sparrow
[server]
basicConstraints = critical, CA:FALSE
keyUsage = critical, digitalSignature, keyEncipherment
extendedKeyUsage = serverAuth
subjectAltName = @names
[names]
$names
CONF
  step "making the certificate" "See the lines above." lan-request \
    openssl req -new -newkey rsa:2048 -nodes -sha256 -config "$LAN_DIR/server.conf" -keyout "$LAN_DIR/server.key" -out "$LAN_DIR/server.csr"
  step "signing the certificate" "See the lines above." lan-sign \
    openssl x509 -req -in "$LAN_DIR/server.csr" -CA "$LAN_DIR/ca.crt" -CAkey "$LAN_DIR/ca.key" -CAcreateserial -sha256 -days 397 \
    -extfile "$LAN_DIR/server.conf" -extensions server -out "$LAN_DIR/server.crt"
  chmod 600 "$LAN_DIR"/*.key
  printf '%s' "$wanted" | write_file "$LAN_DIR/names"
  hand_over "$LAN_DIR"
}

# $1: the port, $2 …: the addresses. What nginx needs beside the plain server.
secure_listeners() {
  local port="$1" address
  shift
  for address in "$@"; do printf '    listen %s:%s ssl;\n' "$address" "$port"; done
  printf '    ssl_certificate %s/server.crt;\n    ssl_certificate_key %s/server.key;\n    ssl_protocols TLSv1.2 TLSv1.3;\n' "$LAN_DIR" "$LAN_DIR"
  printf '    location = /sparrow-ca.crt { alias %s/ca.crt; default_type application/x-x509-ca-cert; }\n' "$LAN_DIR"
}

# Opens the running application to the local network, or says why it cannot be.
prepare_lan() {
  check_port_number SPARROW_LAN_PORT "$LAN_PORT"
  command -v nginx >/dev/null || die "HTTPS needs nginx, which is missing here."
  install_packages openssl qrencode
  mapfile -t LAN_ADDRESSES < <(lan_addresses)
  ((${#LAN_ADDRESSES[@]} > 0)) || die "this machine has no address on a network. Join one, then start again with --lan."
  local taken
  for taken in "${LAN_ADDRESSES[@]}"; do
    if ! alive "$VAR/web-main/nginx.pid" && (exec 3<>"/dev/tcp/$taken/$LAN_PORT") 2>/dev/null; then
      die "port $LAN_PORT is in use by another program. Choose another: SPARROW_LAN_PORT=8470 ./sparrow start --lan"
    fi
  done
  make_certificate localhost "$(hostname)" "$(hostname).local" "${LAN_ADDRESSES[@]}"
}

show_lan() {
  local address
  say ""
  say "On phones in the same network:"
  for address in "${LAN_ADDRESSES[@]}"; do
    say ""
    say "  https://$address:$LAN_PORT"
    qrencode -t UTF8 -m 2 "https://$address:$LAN_PORT"
  done
  say "A phone must trust this machine once: open /sparrow-ca.crt under that address and install the certificate;"
  say "its SHA-256 begins with $(openssl x509 -in "$LAN_DIR/ca.crt" -noout -fingerprint -sha256 | cut -d= -f2 | cut -c1-23). Until then the browser warns, and nothing works offline."
  say "Everybody in this network can reach the sign-in, and the demo's passwords are no secret: change them under Settings."
}
