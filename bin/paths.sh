# Where this project's own Node is, if it had to bring one (bin/install): it goes before the machine's.
if [ -x "$PWD/.node/bin/node" ]; then export PATH="$PWD/.node/bin:$PATH"; fi
