<?php

declare(strict_types=1);

namespace App\Panel;

use App\Words\Term;
use Core\Codebook\Codebook;
use Core\Consensus\CaseConsensus;
use Core\Consensus\DrillConsensus;
use Core\Consensus\SetTally;
use Core\Consensus\Tally;
use Core\Number\Written;
use Core\Reading\Ladder;
use Core\Reading\Outside;
use Core\Reading\Stop;

/**
 * What a panel says together of a case beyond what is present, in words: what has its majority first, then how the rest
 * is spread.
 *
 * @phpstan-type Said list<array{words: string, of: string, settled: bool}>
 * @phpstan-type Judged list<array{name: string, of: string, cells: list<array{would: string, words: string, of: string,
 *     settled: bool}|null>}>
 */
final readonly class CaseAdvice
{
    /** So many answers are told of what is open. */
    private const MOST = 4;

    /** @return array<string, Said> by part */
    public function of(CaseConsensus $c, Codebook $codebook): array
    {
        $finding = static fn (string $key): string => self::finding($key, $codebook);

        return [
            'causes' => self::set($c->causes, $finding),
            'chain' => self::set($c->chain, static fn (string $link): string => self::link($link, $codebook)),
            'priority' => [
                ...self::one($c->priority, static fn (string $key): string => $key === ''
                    ? (string) __('panel.advice.none')
                    : $finding($key)),
                ...$c->breaks === null ? [] : self::one($c->breaks, self::broken(...)),
            ],
            'misses' => self::misses($c),
            // Each for itself: what is to be kept is no one set.
            'sound' => self::said($c->sound->counts, $c->sound->n, $c->sound->named, false, $finding),
            'drills' => array_map(static fn (string $drill, int $n): array => [
                'words' => $codebook->drills()[$drill]->name ?? $drill,
                'of' => self::share($n, $c->readers),
                'settled' => false,
            ], array_keys($c->drills), $c->drills),
        ];
    }

    public static function finding(string $key, Codebook $codebook): string
    {
        $other = Outside::Other->value.' ';

        return str_starts_with($key, $other)
            ? (string) __('panel.advice.other', ['words' => substr($key, strlen($other))])
            : Term::finding($key, $codebook);
    }

    public static function link(string $link, Codebook $codebook): string
    {
        // The effect is a fault's key; words of a cause may hold anything.
        $at = (int) strrpos($link, '>');

        return (string) __('panel.advice.link', [
            'from' => self::finding(substr($link, 0, $at), $codebook),
            'to' => self::finding(substr($link, $at + 1), $codebook),
        ]);
    }

    public static function broken(string $breaks): string
    {
        return (string) match ((int) $breaks) {
            Ladder::HOLDS => __('panel.advice.holds'),
            Ladder::CANNOT_TELL => __('panel.advice.break-untold'),
            default => __('panel.advice.breaks', ['swing' => $breaks]),
        };
    }

    /**
     * @param  \Closure(string): string  $name
     * @return Said
     */
    private static function set(SetTally $t, \Closure $name): array
    {
        if ($t->settled() === []) {
            return [['words' => (string) __('panel.advice.none'), 'of' => '', 'settled' => true]];
        }

        return self::said($t->counts, $t->n, $t->settled() ?? [], ! $t->open, $name);
    }

    /**
     * @param  \Closure(string): string  $name
     * @return Said
     */
    private static function one(Tally $t, \Closure $name): array
    {
        return self::said($t->counts, $t->n, $t->settled === null ? [] : [$t->settled], $t->settled !== null, $name);
    }

    /**
     * @param  array<string, int>  $counts
     * @param  list<string>  $settled
     * @param  bool  $whole  whether what is settled is all there is to say
     * @param  \Closure(string): string  $name
     * @return Said
     */
    private static function said(array $counts, int $n, array $settled, bool $whole, \Closure $name): array
    {
        $out = [];
        foreach (array_slice($counts, 0, self::MOST, true) as $answer => $times) {
            $in = in_array((string) $answer, $settled, true);
            if ($in || ! $whole) {
                $out[] = [
                    'words' => $name((string) $answer),
                    'of' => self::share($times, $n),
                    'settled' => $in,
                ];
            }
        }

        return $out;
    }

    private static function share(int $n, int $of): string
    {
        return (string) __('panel.advice.of', ['n' => $n, 'of' => $of]);
    }

    /**
     * What the panel says the drills in question would do, on each rung.
     *
     * @return Judged
     */
    public function drills(CaseConsensus $c, Codebook $codebook): array
    {
        $out = [];
        foreach ($c->judged as $drill => $rungs) {
            $out[] = [
                'name' => $codebook->drills()[$drill]->name ?? $drill,
                'of' => isset($c->drills[$drill]) ? self::share($c->drills[$drill], $c->readers) : '',
                'cells' => array_map(
                    static fn (Stop $at): ?array => isset($rungs[$at->value]) ? self::would($rungs[$at->value]) : null,
                    Stop::cases(),
                ),
            ];
        }
        usort($out, static fn (array $a, array $b): int => $a['name'] <=> $b['name']);

        return $out;
    }

    /** @return array{would: string, words: string, of: string, settled: bool} */
    private static function would(DrillConsensus $one): array
    {
        $would = $one->verdict()->value ?? 'uncertain';
        $median = $one->median ?? 0.0;

        return [
            'would' => $would,
            'words' => (string) __("panel.advice.would.$would"),
            'of' => $one->n === 0 ? (string) __('panel.advice.by-limit') : (string) __('panel.advice.median', [
                'median' => Written::fixed($median, $median === floor($median) ? 0 : 1),
                'n' => $one->n,
            ]),
            'settled' => $one->isSettled(),
        ];
    }

    /** @return Said */
    private static function misses(CaseConsensus $c): array
    {
        $out = [];
        foreach (array_slice($c->misses, 0, self::MOST, true) as $miss => $percent) {
            $out[] = [
                'words' => (string) __("reading.misses.$miss"),
                'of' => Written::fixed($percent, 0).' %',
                'settled' => false,
            ];
        }

        return $out;
    }
}
