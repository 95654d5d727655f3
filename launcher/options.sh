# shellcheck shell=bash
# How the application is started: the words behind start and serve.

# Reads the words of start and serve into port, port_given, demo, foreground, listen, tls and proxy.
start_options() {
  port=8780 port_given='' demo=true foreground='' listen=127.0.0.1 tls='' proxy=''
  while [ $# -gt 0 ]; do
    case $1 in
      --port)
        port=${2-}
        port_given=yes
        shift 2 || usage_error "--port wants a number"
        ;;
      --no-demo)
        demo=false
        shift
        ;;
      --foreground)
        foreground=yes
        shift
        ;;
      --listen)
        listen=${2-}
        shift 2 || usage_error "--listen wants an address of this machine"
        ;;
      --weather)
        # the application finds it there too where it is set before
        export STRATOPNEUM_WEATHER=${2-}
        shift 2 || usage_error "--weather wants the address of a weather service"
        ;;
      --tls)
        tls=${2-}
        shift 2 || usage_error "--tls wants a keystore"
        ;;
      --proxy)
        proxy=127.0.0.1,::1,0:0:0:0:0:0:0:1
        shift
        if [ -n "${1-}" ] && [[ $1 != --* ]]; then
          proxy=$1
          shift
        fi
        ;;
      *) usage_error "there is no '$1' here" ;;
    esac
  done
  if [ -n "$proxy" ] && ! [[ $proxy =~ ^[0-9a-fA-F.:,]+$ ]]; then
    usage_error "--proxy wants addresses with commas between them, was '$proxy'"
  fi
  if ! [[ $port =~ ^[0-9]{1,5}$ ]] || ((port < 1024 || port > 65535)); then
    usage_error "--port must be a number from 1024 to 65535, was '$port'"
  fi
  check_listening "$listen" "$tls" "$proxy"
  if [ -n "$tls" ]; then
    tls=$(realpath "$tls")
    tls_password
  fi
  if ! is_loopback "$listen" || [ -n "$proxy" ]; then
    demo=false
  fi
}

# Passwords do not go over a network in the open.
check_listening() {
  local listen=$1 tls=$2 proxy=$3
  [ -n "$listen" ] || usage_error "--listen wants an address of this machine"
  [ -z "$tls" ] || [ -f "$tls" ] || usage_error "there is no keystore '$tls'"
  if ! is_loopback "$listen" && [ -z "$tls" ] && [ -z "$proxy" ]; then
    usage_error "--listen $listen needs --tls KEYSTORE, or --proxy behind a proxy that does HTTPS"
  fi
}

# Given to the application by the environment: what stands in a command line can be read by others.
tls_password() {
  local password=${STRATOPNEUM_TLS_PASSWORD-}
  if [ -z "$password" ]; then
    [ -t 0 ] || usage_error "the keystore's password belongs in STRATOPNEUM_TLS_PASSWORD"
    printf 'Password of the keystore: '
    IFS= read -rs password
    printf '\n'
  fi
  export SERVER_SSL_KEY_STORE_PASSWORD=$password
}
