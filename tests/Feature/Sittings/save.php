<?php

// A window that saves one change after the other, in a process of its own, from the moment a file appears on; prints what
// was acknowledged. For SavingRaceTest.

use App\Exceptions\ActionException;
use App\Models\Reading;
use App\Sittings\Actions\SaveChanges;
use Illuminate\Contracts\Console\Kernel;

require dirname(__DIR__, 3).'/vendor/autoload.php';
(require dirname(__DIR__, 3).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

[, $id, $writer, $faults, $barrier] = $argv;
echo "ready\n";
while (! is_file($barrier)) {
    // Whoever began this is gone: it would wait for good.
    if (posix_getppid() === 1) {
        exit(4);
    }
    usleep(500);
    clearstatcache();
}
$version = 0;
foreach (explode(',', $faults) as $n => $fault) {
    // Its own faults, and in between the cue, which every window wants.
    foreach ([["call:$fault", ['presence' => 'absent', 'confidence' => 50 + $n]], ['cue', "$writer $n"]] as [$target, $value]) {
        $change = ['id' => "$writer-$n-".substr(md5($target), 0, 8), 'target' => $target, 'value' => $value, 'base' => $version, 'at' => 1];
        $save = static fn (): array => app(SaveChanges::class)(
            Reading::query()->findOrFail((int) $id),
            $writer,
            [$change],
        );
        try {
            $said = $save();
        } catch (ActionException) {
            echo "locked\n";
            exit(0);
        }
        $taken = $said['applied'] !== [];
        echo($taken ? 'applied ' : 'refused ').json_encode($change)."\n";
        // Sent again, as after an answer that was lost: what was taken is, whether the round has closed since or not.
        try {
            if ($save()['applied'] !== $said['applied']) {
                exit(5);
            }
        } catch (ActionException) {
            exit($taken ? 6 : 0);
        }
        $version = $said['version'];
    }
}
