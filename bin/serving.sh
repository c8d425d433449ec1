# What bin/start and bin/demo share: their options, and starting the server.
port=4567
host=127.0.0.1
fresh=no
new=no

usage() { sed -n '2s/^# //p' "$0"; }
stop() {
  printf '%s\n' "$1" >&2
  usage >&2
  exit 2
}

read_options() {
  while [ "$#" -gt 0 ]; do
    case "$1" in
      --new) [ "${can_be_new:-no}" = yes ] || stop "There is no option $1."; new=yes ;;
      --fresh) [ "${can_be_fresh:-no}" = yes ] || stop "There is no option $1."; fresh=yes ;;
      --port | --host)
        [ "$#" -gt 1 ] || stop "$1 needs a value."
        if [ "$1" = --port ]; then port=$2; else host=$2; fi
        shift ;;
      --port=*) port=${1#*=} ;;
      --host=*) host=${1#*=} ;;
      --help | -h) usage; exit 0 ;;
      *) stop "There is no option $1." ;;
    esac
    shift
  done
  case "$port" in
    *[!0-9]* | "" | ??????*) stop "The port must be a number from 1 to 65535, such as 4567." ;;
  esac
  if [ "$port" -lt 1 ] || [ "$port" -gt 65535 ]; then stop "The port must be a number from 1 to 65535, such as 4567."; fi
}

serve() {
  export APP_ENV=production
  # Where this Ruby can compile what it runs often, answers come back sooner; the room it may take for that is bounded: by
  # itself it takes 256 MB at once.
  local compiled="--yjit --yjit-exec-mem-size=32"
  # shellcheck disable=SC2086 -- two options
  if ruby $compiled -e 'exit RubyVM::YJIT.enabled?' 2>/dev/null; then export RUBYOPT="$compiled ${RUBYOPT:-}"; fi
  VANTICK_NEW="$new" VANTICK_HOST="$host" VANTICK_PORT="$port" VANTICK_COMMAND="$0" exec ruby server/start.rb
}
