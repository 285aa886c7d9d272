<?php

// One of several processes that hand readings in as fast as they can, from a moment on that all of them wait for.
// Arguments: reading ids, comma-separated; a file that appears at that moment. Prints the ids that were acknowledged.

use App\Exceptions\ActionException;
use App\Models\Reading;
use App\Sittings\Actions\HandInReading;
use Illuminate\Contracts\Console\Kernel;

require dirname(__DIR__, 3).'/vendor/autoload.php';
$app = require dirname(__DIR__, 3).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$handIn = $app->make(HandInReading::class);
$readings = Reading::query()->whereKey(explode(',', $argv[1]))->with(['user', 'case'])->orderBy('id')->get();
// What would otherwise be the first one's alone is made ready before the barrier.
$app->make(App\Codebook\Codebooks::class)->document();
echo "ready\n";
while (! file_exists($argv[2])) {
    // Whoever began this is gone: it would wait for good.
    if (posix_getppid() === 1) {
        exit(4);
    }
    usleep(300);
    clearstatcache();
}
foreach ($readings as $reading) {
    // A pause, as people make them: closing waits until nobody is in the middle of a hand-in.
    usleep(mt_rand(0, 40_000));
    try {
        $handIn($reading, $reading->user);
        echo $reading->id, "\n";
    } catch (ActionException) {
        break;
    } catch (Throwable $e) {
        fwrite(STDERR, $e->getMessage());
        exit(3);
    }
}
