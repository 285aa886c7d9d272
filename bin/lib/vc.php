<?php

use App\Console\FileCommands;

require dirname(__DIR__, 2).'/vendor/autoload.php';

exit(FileCommands::run(dirname(__DIR__, 2), array_values((array) $_SERVER['argv'])));
