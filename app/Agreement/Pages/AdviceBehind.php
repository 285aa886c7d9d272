<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\RoundAdvice;
use App\Codebook\Codebooks;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\CaseAdvice;
use Core\Agreement\Study\AdviceStudy;
use Core\Agreement\Study\AdvisedCase;
use Core\Codebook\Codebook;
use Core\Consensus\CaseConsensus;
use Core\Number\Written;
use Core\Reading\Reading;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Pagination\Paginator;

/**
 * The sheets behind how one person's advice stands to the panel's and to the ball: case by case what was said, what the
 * panel says, and what that counts.
 *
 * @phpstan-type AdviceCell array{own: string, panel: string, counts: string, wrong: bool}
 */
final readonly class AdviceBehind
{
    /** So many cases stand on one page. */
    private const ROWS = 25;

    private const PARTS = ['causes', 'chain', 'priority', 'decision', 'trend', 'breaks', 'drill', 'miss'];

    public function __construct(
        private Codebooks $codebooks,
        private CallsBehind $calls,
        private CaseAdvice $advice,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $person, User $user): array
    {
        $codebook = $this->codebooks->of($round);
        $cases = $this->calls->cases($round, $user);
        $read = $cases->whereIn('id', RoundAdvice::placesOf($round, $person->id));
        $page = max(1, Paginator::resolveCurrentPage());
        $shown = $read->forPage($page, self::ROWS);
        $advised = RoundAdvice::ofReader($round, $shown, $person->id);
        $panel = isset(CallsBehind::panel($round)[$person->id]);
        $rows = [];
        foreach ($shown as $case) {
            $of = $advised[$case->case_id] ?? null;
            if ($of !== null) {
                $rows[] = [
                    'name' => $case->called(),
                    'url' => route('agreement.case', [$round, $case]),
                    'cells' => $this->cells($of, "u$person->id", $panel, $codebook),
                ];
            }
        }

        // Only of what was asked in this round.
        $parts = array_filter(self::PARTS, static fn (int $i): bool => array_filter(
            $rows,
            static fn (array $row): bool => $row['cells'][$i]['own'].$row['cells'][$i]['counts'] !== '',
        ) !== [], ARRAY_FILTER_USE_KEY);

        return [
            'round' => $round,
            'person' => $person,
            'pages' => new LengthAwarePaginator($rows, $read->count(), self::ROWS, $page, [
                'path' => route('agreement.advice', [$round, $person->id]),
            ]),
            'title' => (string) __('agreement.behind.advice.title', ['name' => $person->name]),
            'heads' => array_values(array_map(
                static fn (string $part): string => (string) __("agreement.behind.advice.parts.$part"),
                $parts,
            )),
            'rows' => array_map(static fn (array $row): array => [
                ...$row,
                'cells' => array_values(array_intersect_key($row['cells'], $parts)),
            ], $rows),
        ];
    }

    /** @return list<AdviceCell> by part */
    private function cells(AdvisedCase $case, string $rater, bool $panel, Codebook $codebook): array
    {
        $said = $case->readings[$rater];
        ['alike' => $alike, 'asked' => $asked] = AdviceStudy::ofCase($case, $rater, $panel);
        $right = [];
        foreach ($asked as [$what, $is]) {
            $right[$what][] = $is;
        }
        $key = $case->key === null ? [] : $this->advice->of($case->key, $codebook);
        $settled = static fn (string $part): string => implode('; ', array_column(array_filter(
            $key[$part] ?? [],
            static fn (array $s): bool => $s['settled'],
        ), 'words'));
        $finding = static fn (string $of): string => CaseAdvice::finding($of, $codebook);
        $percent = static fn (?float $v): string => $v === null ? '' : Written::fixed(100.0 * $v, 0).' %';

        return [
            self::cell(implode(', ', array_map($finding, CaseConsensus::causes($said))), $settled('causes'),
                $percent($alike['causes'] ?? null), ($alike['causes'] ?? 1.0) < 0.5),
            self::cell(implode('; ', array_map(
                static fn (string $link): string => CaseAdvice::link($link, $codebook),
                CaseConsensus::links($said),
            )), $settled('chain'), $percent($alike['chain'] ?? null), ($alike['chain'] ?? 1.0) < 0.5),
            self::cell($said->priority() === '' ? '' : $finding($said->priority()),
                isset($right['priority']) ? $settled('priority') : '',
                self::yes($right['priority'] ?? []), in_array(false, $right['priority'] ?? [], true)),
            self::each($said, $case, 'decision', $right['decision'] ?? [], $codebook),
            self::each($said, $case, 'trend', $right['trend'] ?? [], $codebook),
            self::cell(
                $said->breaks === null ? '' : CaseAdvice::broken((string) $said->breaks),
                $case->key?->breaks?->settled === null ? '' : CaseAdvice::broken($case->key->breaks->settled),
                self::yes($right['breaks'] ?? []),
                in_array(false, $right['breaks'] ?? [], true),
            ),
            self::drill($said, $right, $codebook),
            self::cell(self::misses($said), self::flights($case),
                isset($alike['miss']) ? Written::fixed($alike['miss'], 2) : '', ($alike['miss'] ?? 0.0) > 1.0),
        ];
    }

    /**
     * What was said fault by fault of those that are there, and what the panel settles of it.
     *
     * @param  'decision'|'trend'  $what
     * @param  list<bool>  $right
     * @return AdviceCell
     */
    private static function each(
        Reading $said,
        AdvisedCase $case,
        string $what,
        array $right,
        Codebook $codebook,
    ): array {
        $settled = ($what === 'trend' ? $case->key?->trends : $case->key?->decisions) ?? [];
        $own = $panel = [];
        foreach ($said->calls as $fault => $call) {
            $says = $call->$what;
            $of = ($settled[$fault] ?? null)?->settled;
            if ($says !== null && $of !== null && ($case->labels[$fault] ?? '') === 'present') {
                $name = $codebook->faults[$fault]->name ?? $fault;
                $own[] = "$name: ".__("agreement.behind.advice.$what.$says->value");
                $panel[] = "$name: ".__("agreement.behind.advice.$what.$of");
            }
        }

        return self::cell(implode('; ', $own), implode('; ', $panel), self::yes($right), in_array(false, $right, true));
    }

    /**
     * @param  array<string, list<bool>>  $right  by what was asked
     * @return AdviceCell
     */
    private static function drill(Reading $said, array $right, Codebook $codebook): array
    {
        $would = '';
        foreach (['unsafe', 'harms', 'helps'] as $what) {
            $would = $would === '' && in_array(true, $right[$what] ?? [], true) ? $what : $would;
        }
        $says = match (true) {
            $would !== '' => $would,
            isset($right['helps']) => 'uncertain',
            default => '',
        };

        return self::cell(
            $said->drill === null ? '' : ($codebook->drills()[$said->drill]->name ?? $said->drill).
                ($said->stop === null ? '' : ', '.__("reading.stops.{$said->stop->value}")),
            '',
            $says === '' ? '' : (string) __("agreement.behind.advice.would.$says"),
            in_array($would, ['unsafe', 'harms'], true),
        );
    }

    /** @param  list<bool>  $right */
    private static function yes(array $right): string
    {
        return $right === [] ? '' : (string) __('agreement.behind.advice.of', [
            'right' => (string) count(array_filter($right)),
            'n' => (string) count($right),
        ]);
    }

    private static function misses(Reading $said): string
    {
        $out = [];
        foreach ($said->misses->percent as $miss => $percent) {
            $out[] = __("reading.misses.$miss")." $percent %";
        }

        return implode(', ', $out);
    }

    private static function flights(AdvisedCase $case): string
    {
        return implode('; ', array_map(
            static fn (array $ball): string => $ball === [] ? (string) __('reading.misses.none') : implode(', ', array_map(
                static fn (string $miss): string => (string) __("reading.misses.$miss"),
                $ball,
            )),
            $case->flights,
        ));
    }

    /** @return AdviceCell */
    private static function cell(string $own, string $panel, string $counts, bool $wrong): array
    {
        return compact('own', 'panel', 'counts', 'wrong');
    }
}
