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
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\RoundSummary;
use Core\Codebook\Codebook;
use Core\Drawing\Axis;
use Core\Drawing\Estimate;
use Core\Drawing\Forest;
use Core\Drawing\ForestRow;
use Core\Number\Written;

/** The first page of a round's agreement: how far people agree, who sees what the panel sees, where to look next. */
final readonly class AgreementOverview
{
    private const SERIES = ['sensitivity', 'specificity'];

    private const COEFFICIENTS = ['gwet_ac1', 'fleiss_kappa', 'krippendorff_alpha'];

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
            'compared' => $raters->open ? $this->compared($kept, $user) : null,
            'broad' => Forest::beside($rows, Axis::shares()),
            'slim' => Forest::beneath($rows, Axis::shares()),
            'finding' => __($raters->open ? 'agreement.forest' : 'agreement.own-forest'),
            'people' => $raters->open ? [] : $this->people->everybody($r, $raters, $round),
            'pairs' => $raters->open ? [] : $this->withEachColleague($kept, $user),
            'look' => $raters->open ? $this->whereToLook($r, $raters, $codebook, $round) : [],
        ];
    }

    /** @return list<array{value: string, label: string, note: string}> */
    private function tiles(RoundSummary $r): array
    {
        $pooled = $r->pooled;
        if ($pooled === null) {
            return [];
        }
        $same = $pooled->coefficients['percent_agreement'];
        $present = $pooled->specific['present'] ?? null;
        $tiles = [$this->tile(self::percent($same), 'percent_agreement', $this->range($same, 100.0, 0))];
        foreach (self::COEFFICIENTS as $name) {
            $f = $pooled->coefficients[$name];
            $value = $f->estimate === null ? (string) __('figures.none') : Written::fixed($f->estimate, 2);
            $tiles[] = $this->tile($value, $name, $this->range($f, 1.0, 2));
        }
        $tiles[] = $this->tile(self::percent($present), 'specific', (string) __('agreement.tiles.specific-note'));

        return $tiles;
    }

    /** @return array{value: string, label: string, note: string} */
    private function tile(string $value, string $name, string $note): array
    {
        return ['value' => $value, 'label' => (string) __("agreement.tiles.$name"), 'note' => $note];
    }

    private static function percent(?Figure $f): string
    {
        return $f?->estimate === null ? (string) __('figures.none') : Written::fixed(100.0 * $f->estimate, 0).' %';
    }

    private function range(Figure $f, float $scale, int $digits): string
    {
        if ($f->reason !== null) {
            return $this->words->said($f->reason);
        }

        return $f->low === null || $f->high === null
            ? (string) __('figures.no-interval')
            : Written::fixed($scale * $f->low, $digits).__('figures.to').Written::fixed($scale * $f->high, $digits);
    }

    /** @return list<ForestRow> */
    private function forestRows(RoundSummary $r, RaterNames $raters): array
    {
        return array_map(
            static fn (RaterResult $p): ForestRow => new ForestRow(
                $raters->name($p->rater),
                self::estimates($p),
                $raters->isMe($p->rater),
            ),
            AgreementPeople::ordered($r, $raters),
        );
    }

    /** @return list<Estimate> */
    private static function estimates(RaterResult $p): array
    {
        $out = [];
        foreach (self::SERIES as $series) {
            $f = $p->figures[$series];
            if ($f->estimate !== null) {
                $out[] = new Estimate($series, $f->estimate, $f->low, $f->high);
            }
        }

        return $out;
    }

    /** @return array{since: string, says: string}|null */
    private function compared(KeptFigures $kept, User $user): ?array
    {
        [$id, $c] = $kept->change() ?? [0, null];
        $before = Sitting::query()->find($id);
        if ($c === null || $before === null || $this->onlookers->of($user)->withheld($before) !== null) {
            return null;
        }
        $written = static fn (?float $v): string => $v === null
            ? (string) __('figures.none')
            : Written::fixed($v, 2);
        $d = $c->difference;
        $values = [
            'faults' => $c->faults,
            'people' => $c->people,
            'first' => $written($c->first),
            'second' => $written($c->second),
            'by' => $written($d->estimate === null ? null : abs($d->estimate)),
            'low' => $written($d->low),
            'high' => $written($d->high),
            'p' => $c->p === null ? (string) __('figures.none') : Written::fixed($c->p, 3),
            'detectable' => $written($c->detectable),
            'why' => $d->reason === null ? '' : $this->words->said($d->reason),
        ];
        $how = match (true) {
            $d->estimate === null => 'undefined',
            $d->low === null || $d->high === null => 'no-interval',
            $d->low > 0.0 || $d->high < 0.0 => $d->estimate >= 0.0 ? 'up' : 'down',
            default => $d->estimate >= 0.0 ? 'up-by-chance' : 'down-by-chance',
        };

        return [
            'since' => (string) __('agreement.since.title', ['round' => $before->name]),
            'says' => __('agreement.since.over', $values).' '.__("agreement.since.$how", $values),
        ];
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
                'figure' => $r->items[$key]->coefficients['gwet_ac1'],
                'percent' => false,
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
