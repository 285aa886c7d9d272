<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\KeptFigures;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Wording;
use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\Figure;
use Core\Agreement\Profile\RoundsOnScale;
use Core\Agreement\Study\Change;
use Core\Agreement\Study\KeyErrorResult;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\RoundChange;
use Core\Agreement\Study\RoundSummary;
use Core\Codebook\Codebook;
use Core\Drawing\Axis;
use Core\Drawing\Estimate;
use Core\Drawing\Forest;
use Core\Drawing\ForestRow;
use Core\Number\Written;
use Core\Remark\Remark;

/** The first page of a round's agreement: how far people agree, who sees what the panel sees, where to look next. */
final readonly class AgreementOverview
{
    private const SERIES = ['sensitivity', 'specificity'];

    private const BESIDE = ['krippendorff_alpha', 'gwet_ac1'];

    public function __construct(
        private Wording $words,
        private AgreementPeople $people,
        private Onlookers $onlookers,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(
        Sitting $round,
        KeptFigures $kept,
        RoundSummary $r,
        RaterNames $raters,
        Codebook $codebook,
        User $user,
    ): array {
        $rows = $this->forestRows($r, $raters);

        return [
            'tiles' => $this->tiles($r),
            'readers' => (string) __('agreement.readers.means', ['these' => ucfirst(self::these($r))]),
            'few' => $this->few($r),
            'compared' => $raters->open ? $this->compared($kept, $user) : null,
            'broad' => Forest::beside($rows, Axis::shares()),
            'slim' => Forest::beneath($rows, Axis::shares()),
            'finding' => __($raters->open ? 'agreement.forest' : 'agreement.own-forest'),
            'people' => $raters->open ? [] : $this->people->everybody($r, $raters, $round),
            'pairs' => $raters->open ? [] : $this->withEachColleague($kept, $user),
            'look' => $raters->open ? $this->whereToLook($r, $raters, $codebook, $round) : [],
        ];
    }

    /**
     * First how often another says present when one does, then what is left of agreement beyond chance; AC1 never
     * alone.
     *
     * @return list<array{value: string, label: string, these: string, like: string}>
     */
    private function tiles(RoundSummary $r): array
    {
        $pooled = $r->pooled;
        if ($pooled === null) {
            return [];
        }
        $these = self::these($r);
        $tiles = [$this->tile($pooled->specific['present'] ?? null, 'specific', $these, true)];
        foreach (self::BESIDE as $name) {
            $tiles[] = $this->tile($pooled->coefficients[$name], $name, $these, false);
        }
        $tiles[] = $this->tile($pooled->coefficients['percent_agreement'], 'percent_agreement', $these, true);

        return $tiles;
    }

    private static function these(RoundSummary $r): string
    {
        return trans_choice('agreement.readers.these', count($r->versusRest), ['count' => count($r->versusRest)]);
    }

    /** @return array{value: string, label: string, these: string, like: string} */
    private function tile(?Figure $f, string $name, string $these, bool $percent): array
    {
        [$scale, $digits, $unit] = $percent ? [100.0, 0, ' %'] : [1.0, 2, ''];
        $range = static fn (?float $low, ?float $high): ?string => $low === null || $high === null
            ? null
            : Written::fixed($scale * $low, $digits).__('figures.to').Written::fixed($scale * $high, $digits).$unit;
        $none = $f?->estimate === null;
        $new = $f?->newReaders;

        return [
            'value' => $none ? (string) __('figures.none') : Written::fixed($scale * $f->estimate, $digits).$unit,
            'label' => (string) __("agreement.tiles.$name"),
            'these' => $none
                ? ($f?->reason === null ? '' : $this->words->said($f->reason))
                : $these.': '.($range($f->low, $f->high) ?? __('figures.no-interval')),
            'like' => $none || $new === null ? '' : __('agreement.readers.like').': '.(
                $range($new->low, $new->high) ?? ($new->reason === null ? '' : $this->words->said($new->reason))
            ),
        ];
    }

    /** What the range of the headline says of itself: too few golfers, too few readers. */
    private function few(RoundSummary $r): string
    {
        $f = $r->pooled->specific['present'] ?? null;
        $cautions = array_filter([
            $f?->estimate === null ? null : $f->reason,
            $f?->newReaders?->low === null ? null : $f->newReaders->reason,
        ]);

        return implode(' ', array_map(
            fn (Remark $caution): string => ucfirst($this->words->phrase($caution)).'.',
            $cautions,
        ));
    }

    /** @return list<ForestRow> */
    private function forestRows(RoundSummary $r, RaterNames $raters): array
    {
        return array_map(
            static fn (RaterResult $p): ForestRow => new ForestRow(
                $raters->name($p->rater),
                self::estimates($p, $r->keyError),
                $raters->isMe($p->rater),
            ),
            AgreementPeople::ordered($r, $raters),
        );
    }

    /** @return list<Estimate> each with the band that a key which may err leaves, where that can be told */
    private static function estimates(RaterResult $p, ?KeyErrorResult $key): array
    {
        $out = [];
        $band = array_column($key->raters ?? [], null, 'rater')[$p->rater] ?? null;
        foreach (self::SERIES as $series) {
            $f = $p->figures[$series];
            $of = $band?->figures[$series];
            if ($f->estimate !== null) {
                // Not to know the key makes nothing surer than to know it.
                $out[] = new Estimate(
                    $series,
                    $f->estimate,
                    $f->low,
                    $f->high,
                    $of?->low === null ? null : min($of->low, $f->low ?? 1.0),
                    $of?->high === null ? null : max($of->high, $f->high ?? 0.0),
                );
            }
        }

        return $out;
    }

    /** @return array{since: string, says: string, scale: string}|null */
    private function compared(KeptFigures $kept, User $user): ?array
    {
        [$id, $c] = $kept->change() ?? [0, null];
        $before = Sitting::query()->find($id);
        if ($c === null || $before === null || $this->onlookers->of($user)->withheld($before) !== null) {
            return null;
        }

        return [
            'since' => (string) __('agreement.since.title', ['round' => $before->name]),
            'says' => $c->present === null
                ? (string) __('agreement.since.no-anchors', ['people' => $c->people])
                : $this->moved($c, $c->present),
            'scale' => $c->scale === null ? '' : self::onScale($c->scale),
        ];
    }

    private function moved(RoundChange $c, Change $present): string
    {
        $percent = static fn (?float $v): string => $v === null
            ? (string) __('figures.none')
            : Written::fixed(100.0 * $v, 0);
        $d = $present->difference;
        $new = $d->newReaders;
        $values = [
            'people' => $c->people,
            'anchors' => $c->anchors,
            'golfers' => $c->golfers,
            'first' => $percent($present->first),
            'second' => $percent($present->second),
            'by' => $percent($d->estimate === null ? null : abs($d->estimate)),
            'low' => $percent($d->low),
            'high' => $percent($d->high),
            'p' => $present->p === null ? (string) __('figures.none') : Written::fixed($present->p, 3),
            'detectable' => $percent($present->detectable),
            'why' => $d->reason === null ? '' : $this->words->said($d->reason),
        ];
        $how = match (true) {
            $d->estimate === null => 'undefined',
            $present->p === null => 'few',
            $present->p <= 0.05 => $d->estimate >= 0.0 ? 'up' : 'down',
            default => 'by-chance',
        };

        return implode(' ', array_filter([
            __('agreement.since.over', $values),
            __("agreement.since.$how", $values),
            $new?->low === null ? '' : __('agreement.since.like', [
                'low' => $percent($new->low),
                'high' => $percent($new->high),
            ]),
            __('agreement.since.memory'),
        ], static fn (string $part): bool => $part !== ''));
    }

    /** What the many-facet model says of the two rounds, and whether it may. */
    private static function onScale(RoundsOnScale $of): string
    {
        $percent = static fn (float $v): string => Written::fixed(100.0 * $v, 0);
        [$by, $low, $high] = $of->points();

        return implode(' ', array_filter([
            (string) __('agreement.since.scale', [
                'calls' => Written::fixed($of->calls, 0),
                'first' => $percent($of->first),
                'second' => $percent($of->second),
                'by' => $percent($by),
                'low' => $percent($low),
                'high' => $percent($high),
            ]),
            $of->p() > 0.05 ? (string) __('agreement.since.scale-chance') : '',
            $of->parts > 1 ? (string) __('agreement.scale.apart', ['parts' => $of->parts]) : '',
            $of->misfit > AgreementScale::ODD ? (string) __('agreement.since.scale-misfit') : '',
        ], static fn (string $part): bool => $part !== ''));
    }

    /** @return list<array{n: int, same: string, kappa: Figure}>  the least alike first */
    private function withEachColleague(KeptFigures $kept, User $user): array
    {
        $mine = $kept->person($user->id)->pairs ?? [];
        usort($mine, static fn (PairResult $a, PairResult $b): int => $a->kappa->estimate <=> $b->kappa->estimate);

        return array_map(
            static fn (PairResult $p): array => [
                'n' => $p->n,
                'same' => AgreementPairs::same($p),
                'kappa' => $p->kappa,
            ],
            $mine,
        );
    }

    /**
     * @return list<array{title: string, lines: list<array{name: string, url: string, figure: Figure, percent: bool}>}>
     */
    private function whereToLook(RoundSummary $r, RaterNames $raters, Codebook $codebook, Sitting $round): array
    {
        $faults = array_map(
            static fn (string $key): array => [
                'name' => $codebook->faults[$key]->name,
                'url' => route('agreement', [$round, 'part' => 'faults']).'#'.$key,
                'figure' => $r->items[$key]->specific['present'],
                'percent' => true,
            ],
            AgreementFaults::leastAgreed($r, 3),
        );
        $people = array_map(
            static fn (RaterResult $p): array => [
                'name' => $raters->name($p->rater),
                'url' => route('agreement.person', [$round, RaterNames::id($p->rater)]),
                'figure' => $p->figures['sensitivity'],
                'percent' => true,
            ],
            array_slice(array_reverse(AgreementPeople::ordered($r, $raters)), 0, 3),
        );

        return [
            ['title' => (string) __('agreement.look.faults'), 'lines' => $faults],
            ['title' => (string) __('agreement.look.people'), 'lines' => $people],
        ];
    }
}
