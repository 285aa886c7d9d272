<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use App\Models\SittingCase;
use Core\Agreement\Profile\FacetEffect;
use Core\Agreement\Profile\FacetModel;
use Core\Codebook\Codebook;
use Core\Number\Written;

/**
 * Readers, cases and faults on one scale: what share would be right of a reader, on a case, of a fault if everything
 * else were middling.
 *
 * @phpstan-type ScaleRow array{name: string, share: string, interval: string, note: string, url: ?string}
 */
final readonly class AgreementScale
{
    /** A reader whose calls leave so much more than the model expects does not follow the others. */
    public const ODD = 1.3;

    /** So many cases are told, the hardest first. */
    private const HARDEST = 5;

    /** @return array{rows: list<ScaleRow>, apart: string}|null */
    public function people(?FacetModel $m, RaterNames $raters): ?array
    {
        return $m === null ? null : [
            'rows' => array_map(
                fn (FacetEffect $e): array => [
                    ...$this->row($m, $e, $raters->name($e->name)),
                    'note' => $e->infit > self::ODD ? (string) __('agreement.scale.odd') : '',
                ],
                self::rising($m->facets['reader'] ?? [], -1),
            ),
            'apart' => self::apart($m),
        ];
    }

    /** @return array{faults: list<ScaleRow>, cases: list<ScaleRow>, apart: string}|null */
    public function questions(?FacetModel $m, Codebook $codebook, Sitting $round): ?array
    {
        if ($m === null) {
            return null;
        }
        $places = $urls = [];
        foreach ($round->cases()->where('occasion', 1)->orderBy('id')->get() as $i => $case) {
            /** @var SittingCase $case */
            $places["c$case->case_id"] = $i + 1;
            $urls["c$case->case_id"] = route('agreement.case', [$round, $case->id]);
        }

        return [
            'faults' => array_map(
                fn (FacetEffect $e): array => $this->row($m, $e, $codebook->faults[$e->name]->name ?? $e->name),
                array_slice(self::rising($m->facets['fault'] ?? [], 1), 0, self::HARDEST),
            ),
            'cases' => array_map(
                fn (FacetEffect $e): array => [
                    ...$this->row($m, $e, (string) __('agreement.case', ['n' => $places[$e->name] ?? $e->name])),
                    'url' => $urls[$e->name] ?? null,
                ],
                array_slice(self::rising($m->facets['case'] ?? [], 1), 0, self::HARDEST),
            ),
            'apart' => self::apart($m),
        ];
    }

    /**
     * @param  array<string, FacetEffect>  $effects
     * @param  1|-1  $way  the hardest first, or the easiest
     * @return list<FacetEffect>
     */
    private static function rising(array $effects, int $way): array
    {
        usort($effects, static fn (FacetEffect $a, FacetEffect $b): int => $way * ($a->estimate <=> $b->estimate));

        return $effects;
    }

    /** @return ScaleRow */
    private function row(FacetModel $m, FacetEffect $e, string $name): array
    {
        [$share, $low, $high] = array_map(
            static fn (float $v): string => Written::fixed(100.0 * $v, 0),
            $m->share($e),
        );

        return ['name' => $name, 'share' => "$share %", 'interval' => "{$low}–{$high}", 'note' => '', 'url' => null];
    }

    private static function apart(FacetModel $m): string
    {
        return $m->parts > 1 ? (string) __('agreement.scale.apart', ['parts' => $m->parts]) : '';
    }
}
