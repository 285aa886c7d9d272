<?php

// The arithmetic is several times faster with the JIT, which an installation may have off: the same command is run
// in the place of this process with the JIT on. VC_JIT=0 leaves it as it is.
if (
    getenv('VC_JIT') === false &&
    function_exists('pcntl_exec') &&
    PHP_BINARY !== '' &&
    ! extension_loaded('xdebug') &&
    ! (function_exists('opcache_get_status') && (@opcache_get_status(false)['jit']['on'] ?? false))
) {
    $library = extension_loaded('Zend OPcache')
        ? []
        : (is_file(ini_get('extension_dir').'/opcache.so')
            ? ['-d', 'zend_extension=opcache']
            : null);
    if ($library !== null) {
        @pcntl_exec(
            PHP_BINARY,
            [
                ...$library,
                '-d',
                'opcache.enable=1',
                '-d',
                'opcache.enable_cli=1',
                '-d',
                'opcache.jit=tracing',
                '-d',
                'opcache.jit_buffer_size=64M',
                '-d',
                'memory_limit='.ini_get('memory_limit'),
                ...$_SERVER['argv'],
            ],
            ['VC_JIT' => '1'] + getenv(),
        );
    }
}
