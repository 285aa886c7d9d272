<?php

declare(strict_types=1);

namespace App\Demo;

use App\Codebook\Actions\AddExample;
use App\Codebook\Actions\BeginDraft;
use App\Codebook\Actions\SaveDraft;
use App\Codebook\Actions\TryDraft;
use App\Models\Consent;
use App\Models\KeyEntry;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Works\Progress;
use Core\Codebook\CodebookDocument;
use Core\Codebook\FaultRules;
use Core\Sight\Scope;
use Illuminate\Support\Carbon;

/** What the Fernhollow scenario does with its codebook: examples beside three faults, and a draft that was tried. */
final readonly class DemoCodebook
{
    public function __construct(
        private AddExample $add,
        private BeginDraft $begin,
        private SaveDraft $save,
        private TryDraft $try,
    ) {
    }

    public function __invoke(Sitting $round, User $head): void
    {
        foreach (Behind::EXAMPLES as [$fault, $shows, $note]) {
            $recording = $this->clearest($round, $fault, $shows);
            if ($recording !== null) {
                Consent::query()->firstOrCreate(
                    ['golfer_id' => $recording->golfer_id, 'scope' => Scope::TeachingMaterial],
                    [
                        'given_on' => Carbon::now()->toDateString(),
                        'expires_on' => Carbon::now()->addDays(720)->toDateString(),
                    ],
                );
                ($this->add)($fault, $recording, $shows, $note, $head);
            }
        }
        $draft = ($this->save)(($this->begin)($head), null, self::changed(...), $head);
        $this->try->carryOut($draft, Progress::untold());
    }

    /** The swing of a published round that shows it best, or is the farthest from it. */
    private function clearest(Sitting $round, string $fault, bool $shows): ?Recording
    {
        return KeyEntry::query()
            ->where('key_version_id', $round->key_version_id)
            ->where('fault', $fault)
            ->where('label', $shows ? 'present' : 'absent')
            ->where('grade', 'verified')
            ->whereIn('case_id', $round->cases()->where('reserved', false)->select('case_id'))
            ->with('case.swings.recording')
            ->orderByDesc($shows ? 'present' : 'absent')
            ->orderByDesc('margin')
            ->first()?->case->swings->first()?->recording;
    }

    private static function changed(CodebookDocument $document): CodebookDocument
    {
        $rules = FaultRules::of($document, 'hang-back');
        $rules['own'] = [...$rules['own'], 'supported' => [
            'all',
            ['impact_share', '<', 73],
            ['any', ['cop_style', 'not', 'returning'], ['lead_peak', '<', 80]],
        ]];
        $rocker = $document->whole()['drills']['rocker'];

        return FaultRules::put($document, 'hang-back', $rules)
            ->with('words', 'load', ['word' => 'load', 'means' => Behind::LOAD])
            ->with('drills', 'rocker', [
                ...$rocker,
                'plan' => [...(array) $rocker['plan'], 'feels' => Behind::WOBBLY],
            ]);
    }
}
