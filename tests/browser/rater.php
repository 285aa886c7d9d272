<?php

/*
 * What simulated readers would call in the sheets of a round, as JSON: by reader, in their order, each with the changes
 * the bench would send. `php rater.php ROUND`, the environment being the server's. A rater is told what the round's key
 * holds, or where it has none what was measured; nobody at the pages is.
 */

use App\Demo\Behind;
use App\Demo\Fernhollow;
use App\Demo\SheetChanges;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\StationMark;
use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Verdict;
use Core\Reading\CaseKind;
use Illuminate\Contracts\Console\Kernel;

$root = dirname(__DIR__, 2);
require "$root/vendor/autoload.php";
(require "$root/bootstrap/app.php")->make(Kernel::class)->bootstrap();

$round = Sitting::query()->where('public_id', $argv[1])->sole();
$raters = array_filter(array_column(Fernhollow::people(), 3, 1));
$out = [];
foreach ($round->members()->get() as $member) {
    $readings = Reading::query()
        ->whereIn('sitting_case_id', $round->cases()->select('id'))
        ->where('user_id', $member->id)
        ->whereNull('handed_in_at')
        ->with(['arm', 'case.swings', 'case.recording.golfer', 'case.recording.measured', 'case.recording.stations'])
        ->orderBy('position')
        ->get();
    foreach ($readings as $n => $reading) {
        $recording = $reading->case->recording;
        $truth = KeyEntry::query()
            ->where('case_id', $reading->case->case_id)
            ->whereRaw("coalesce(ruling, label) = 'present'")
            ->orderBy('key_version_id')
            ->get()
            ->mapWithKeys(static fn (KeyEntry $e): array => [$e->fault => $e->severity ?? 2])
            ->all();
        $truth = $truth !== [] ? $truth : array_map(static fn (FaultVerdict $v): int => 2, array_filter(
            $recording->measured?->verdicts($round->lens) ?? [],
            static fn (FaultVerdict $v): bool => $v->judgement->verdict === Verdict::Supported,
        ));
        $said = $raters[$member->email]->read(
            Codebook::standard(),
            $truth,
            $reading->shown(),
            $n,
            $recording->effectiveStations()->map(static fn (StationMark $m): float => $m->t_s)->all(),
            new Chance("journey|$member->email|$recording->id|{$reading->case->occasion}"),
            Behind::OUTSIDE[$recording->golfer->pseudonym] ?? [],
            $reading->case->kind === CaseKind::Ladder ? Behind::BREAKS : null,
        );
        $out[strtok($member->email, '@')][] = [
            'sheet' => $reading->public_id,
            'kind' => $reading->case->kind->value,
            'occasion' => $reading->case->occasion,
            'recording' => $recording->id,
            'changes' => SheetChanges::of($said, $reading, $member->email),
        ];
    }
}
echo json_encode($out, JSON_THROW_ON_ERROR);
