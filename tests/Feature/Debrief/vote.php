<?php

// One of several processes that vote as fast as they can, each for one person, from a moment on that all wait for.
// Arguments: the debrief's id, the question's, the person's; a file that appears at that moment. Prints each answer
// that was acknowledged.

use App\Debrief\Actions\CastVote;
use App\Exceptions\ActionException;
use App\Models\DebriefQuestion;
use App\Models\DebriefSession;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;

require dirname(__DIR__, 3).'/vendor/autoload.php';
$app = require dirname(__DIR__, 3).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$cast = $app->make(CastVote::class);
$session = DebriefSession::query()->findOrFail($argv[1]);
$question = DebriefQuestion::query()->findOrFail($argv[2]);
$user = User::query()->findOrFail($argv[3]);
echo "ready\n";
while (! file_exists($argv[4])) {
    // Whoever began this is gone: it would wait for good.
    if (posix_getppid() === 1) {
        exit(4);
    }
    usleep(300);
    clearstatcache();
}
for ($n = 0; $n < 40; $n++) {
    $answer = $question->options[mt_rand(0, count($question->options) - 1)];
    try {
        $cast($session, $question, $user, $answer);
        echo "$answer\n";
    } catch (ActionException) {
        break;
    } catch (Throwable $e) {
        fwrite(STDERR, $e->getMessage());
        exit(3);
    }
}
