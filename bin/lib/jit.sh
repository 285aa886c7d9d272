# The JIT is off in Debian's command-line PHP; the arithmetic is several times faster with it. As PHP is installed the
# JIT has room for a thousand loops and eight thousand ways out of them: a process that has been at work for a second
# has used them up, and interprets everything that comes after.
JIT=(-d opcache.enable_cli=1 -d opcache.jit_buffer_size=128M -d opcache.jit_max_root_traces=16384
  -d opcache.jit_max_side_traces=32768 -d opcache.jit_max_exit_counters=131072)
