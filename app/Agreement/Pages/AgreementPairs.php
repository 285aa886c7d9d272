<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\Figure;
use Core\Number\Written;
use Illuminate\Support\Str;

/** Person by person: how far any two call the same. */
final class AgreementPairs
{
    /**
     * @param  list<PairResult>  $pairs
     * @param  list<string>  $scored  raters who have a row and a column of their own
     * @return array{heads: list<string>, matrix: list<array{name: string,
     *     cells: list<array{text: string, shade: ?int, hint: string, url: string}>}>,
     *     pairs: list<array{names: string, url: string, n: int, same: string, kappa: Figure, pabak: Figure}>}
     */
    public function of(array $pairs, array $scored, RaterNames $raters, Sitting $round): array
    {
        $by = [];
        foreach ($pairs as $p) {
            $by[$p->a][$p->b] = $by[$p->b][$p->a] = $p;
        }
        $people = [];
        foreach ($scored as $rater) {
            $people[$rater] = $raters->name($rater);
        }
        asort($people);

        return [
            'heads' => array_values(array_map(static fn (string $name): string => Str::before($name, ' '), $people)),
            'matrix' => array_values(array_map(
                static fn (string $a, string $name): array => [
                    'name' => $name,
                    'cells' => array_map(
                        static fn (string $b): array => self::cell($by[$a][$b] ?? null, $a === $b, $round),
                        array_map(strval(...), array_keys($people)),
                    ),
                ],
                array_map(strval(...), array_keys($people)),
                $people,
            )),
            'pairs' => array_map(
                static fn (PairResult $p): array => [
                    'names' => (string) __('agreement.pair', [
                        'a' => $raters->name($p->a),
                        'b' => $raters->name($p->b),
                    ]),
                    'url' => self::url($p, $round),
                    'n' => $p->n,
                    'same' => self::same($p),
                    'kappa' => $p->kappa,
                    'pabak' => $p->pabak,
                ],
                $pairs,
            ),
        ];
    }

    public static function same(PairResult $p): string
    {
        return $p->agreement === null ? (string) __('figures.none') : Written::fixed(100.0 * $p->agreement, 0).' %';
    }

    private static function url(PairResult $p, Sitting $round): string
    {
        return route('agreement.pair', [$round, RaterNames::id($p->a), RaterNames::id($p->b)]);
    }

    /**
     * @return array{text: string, shade: ?int, hint: string, url: string}  shade: 0 to 10, none where there is no
     *     figure
     */
    private static function cell(?PairResult $p, bool $same, Sitting $round): array
    {
        if ($p?->kappa->estimate === null) {
            return ['text' => $same ? '·' : (string) __('figures.none'), 'shade' => null, 'hint' => '', 'url' => ''];
        }
        $written = static fn (?float $v): string => $v === null ? (string) __('figures.none') : Written::fixed($v, 2);

        return [
            'text' => Written::fixed($p->kappa->estimate, 2),
            'shade' => (int) round(10.0 * max(0.0, $p->kappa->estimate)),
            'url' => self::url($p, $round),
            'hint' => (string) __('agreement.pair-hint', [
                'n' => $p->n,
                'same' => self::same($p),
                'low' => $written($p->kappa->low),
                'high' => $written($p->kappa->high),
                'pabak' => $written($p->pabak->estimate),
            ]),
        ];
    }
}
