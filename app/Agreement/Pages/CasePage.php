<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Codebook\Codebooks;
use App\Models\CaseSwing;
use App\Models\KeyCase;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Panel\CaseAdvice;
use App\Words\Term;
use Core\Codebook\Codebook;
use Core\Consensus\CaseConsensus;
use Core\Reading\CaseKind;
use Core\Reading\Misses;
use Core\Reading\Reading as CoreReading;
use Core\Reading\Stage;
use Illuminate\Database\Eloquent\Collection;

/** A case of a published round: who saw what, what they would do, beside the key and the ball. */
final readonly class CasePage
{
    public function __construct(
        private Codebooks $codebooks,
        private CallsBehind $calls,
        private CaseAdvice $advice,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, SittingCase $asked, User $user): array
    {
        $cases = $this->calls->cases($round, $user);
        $case = $cases->find($asked->id) ?? abort(404);
        $codebook = $this->codebooks->of($round);
        $key = $round->keyVersion?->cases()->where('case_id', $case->case_id)->first();

        return [
            'round' => $round,
            'case' => $case,
            'title' => $case->recording->called(),
            'about' => implode(' · ', array_filter([
                $case->kind === CaseKind::Single ? '' : (string) __("round.kinds.{$case->kind->value}"),
                Term::device($case->recording->deviceClass()),
                Term::shownOf($case),
                $case->reserved ? (string) __('round.kept') : '',
            ], static fn (string $part): bool => $part !== '')),
            'swings' => array_values($case->swings->map(static fn (CaseSwing $s): array => [
                'name' => $case->swings->count() === 1 ? (string) __('agreement.behind.bench') : $case->swingName($s),
                'url' => route('bench', $s->recording),
                'flight' => $s->recording->flight() === null ? null : Term::flight($s->recording->flight()),
            ])->all()),
            'next' => $this->beside($cases, $case, $round),
            ...$this->calls->ofCase($round, $case, $codebook),
            'said' => $this->said($case, $codebook, $key instanceof KeyCase ? $key->toCore() : null),
        ];
    }

    /**
     * @param  Collection<int, SittingCase>  $cases
     * @return array{before: ?string, after: ?string} the cases next to it
     */
    private function beside(Collection $cases, SittingCase $case, Sitting $round): array
    {
        $all = array_values($cases->all());
        $at = (int) array_search($case->id, $cases->modelKeys(), true);
        $url = static fn (?SittingCase $of): ?string => $of === null ? null
            : route('agreement.case', [$round, $of->id]);

        return ['before' => $url($all[$at - 1] ?? null), 'after' => $url($all[$at + 1] ?? null)];
    }

    /**
     * What each would do with what they saw, and what the panel would.
     *
     * @return list<array{part: string, key: list<string>, cells: list<string>}>
     */
    private function said(SittingCase $case, Codebook $codebook, ?CaseConsensus $key): array
    {
        $readings = Reading::query()
            ->where('sitting_case_id', $case->id)
            ->where('stage', Stage::Blind)
            ->whereNotNull('handed_in_at')
            ->where('sheet', '>=', Reading::CODED)
            ->with(['user', 'calls'])
            ->get()
            ->sortBy(static fn (Reading $r): string => $r->user->name)
            ->map(static fn (Reading $r): CoreReading => $r->toCore())
            ->values();
        if ($readings->isEmpty()) {
            return [];
        }
        $panel = $key === null ? [] : $this->advice->of($key, $codebook);
        $finding = static fn (string $of): string => CaseAdvice::finding($of, $codebook);
        $parts = [
            'causes' => static fn (CoreReading $r): string => implode(
                ', ',
                array_map($finding, CaseConsensus::causes($r)),
            ),
            'chain' => static fn (CoreReading $r): string => implode('; ', array_map(
                static fn (string $link): string => CaseAdvice::link($link, $codebook),
                CaseConsensus::links($r),
            )),
            'priority' => static fn (CoreReading $r): string => $r->priority() === '' ? '' : $finding($r->priority()),
            'drills' => static fn (CoreReading $r): string => $r->drill === null ? ''
                : ($codebook->drills()[$r->drill]->name ?? $r->drill),
            'misses' => static fn (CoreReading $r): string => self::misses($r->misses),
            'cue' => static fn (CoreReading $r): string => $r->cue,
        ];

        return array_map(static fn (string $part, \Closure $says): array => [
            'part' => (string) __("agreement.behind.parts.$part"),
            'key' => array_map(
                static fn (array $s): string => trim("{$s['words']} {$s['of']}"),
                $panel[$part] ?? [],
            ),
            'cells' => array_values($readings->map($says)->all()),
        ], array_keys($parts), $parts);
    }

    private static function misses(Misses $misses): string
    {
        $out = [];
        foreach ($misses->percent as $miss => $percent) {
            $out[] = __("reading.misses.$miss")." $percent %";
        }

        return implode(', ', $out);
    }
}
