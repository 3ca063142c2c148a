# Shared by the scripts in bin: which processes are ours. A number in a file proves nothing: the process may have ended
# and its number gone to another one, or somebody may have written it there. So the command line is looked at as well.

kept_number() { # file: the number in it; fails unless it is a plain file with one plain number above 1
    [ -f "$1" ] && [ ! -L "$1" ] || return 1
    local text
    text=$(head -c 12 "$1")
    [[ $text =~ ^[1-9][0-9]{0,8}$ ]] && [ "$text" -gt 1 ] && printf '%s' "$text"
}

command_of() { { tr '\0' ' ' <"/proc/$1/cmdline"; } 2>/dev/null; } # nothing of one that ended and waits to be noticed

is_running() { # file, what the command line holds: the number of the process
    local number
    number=$(kept_number "$1") && [[ $(command_of "$number") == *"$2"* ]] && printf '%s' "$number"
}

has_ended() { # number, tenths of a second to wait
    local _
    for _ in $(seq "$2"); do [ -n "$(command_of "$1")" ] || return 0; sleep 0.1; done
    return 1
}

# Ends a server, and the workers that outlive a master that was killed and go on holding its port.
stop_server() { # file, what the master's command line holds, what its workers' do, signal
    local master worker
    if ! master=$(kept_number "$1"); then rm -f "$1"; return 0; fi
    if [ -n "$(command_of "$master")" ]; then
        if [[ $(command_of "$master") != *"$2"* ]]; then rm -f "$1"; return 0; fi # somebody else's by now
        kill "-$4" "$master" 2>/dev/null
        has_ended "$master" 60 || kill -KILL "$master" 2>/dev/null
        STOPPED=1
    fi
    for worker in $(ps -o pid= --sid "$master" 2>/dev/null); do
        if [[ $(command_of "$worker") == "$3"* ]]; then kill -KILL "$worker" 2>/dev/null; has_ended "$worker" 20; fi
    done
    rm -f "$1"
}
