<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Confidence;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;
use Core\Codebook\CueCheck;
use Core\Codebook\CuePhrase;
use Core\Codebook\Shown;
use Core\CoreException;

/**
 * The cues that readers would give, weighed by the codebook's phrases: a share of each reader's, as sure as the golfers
 * behind it make it. Whether a cue is good nobody can say from its words; what is known against it can be.
 */
final readonly class CueStudy
{
    /** @param  array<string, CuePhrase>  $phrases */
    public function __construct(private array $phrases)
    {
    }

    /**
     * @param  list<array{case: string, golfer: string, rater: string, cue: string, shown: Shown}>  $said
     *
     * @throws CoreException where counts are more than of what
     */
    public function of(array $said): CueResult
    {
        $counts = $words = $phrases = [];
        $cues = 0;
        foreach ($said as $one) {
            $check = CueCheck::of($one['cue'], $this->phrases, $one['shown']);
            if ($check->words === 0) {
                continue;
            }
            $cues++;
            $words[$one['rater']][] = $check->words;
            $is = [
                'provokes' => $check->provokes !== [],
                'unsupported' => $check->unsupported !== [],
                'long' => $check->isTooLong(),
            ];
            foreach ($is as $figure => $holds) {
                $counts[$one['rater']][$figure][$one['golfer']][] = $holds ? 1 : 0;
            }
            foreach ($check->provokes + $check->unsupported as $key => $_) {
                $phrases[$key]['cases'][] = $one['case'];
                $phrases[$key]['raters'][$one['rater']] = $one['rater'];
                $phrases[$key]['unsupported'][] = isset($check->unsupported[$key]) ? 1 : 0;
            }
        }
        $people = $mean = [];
        foreach ($counts as $rater => $figures) {
            $people[] = new RaterResult((string) $rater, count($words[$rater]), array_map(
                static fn (array $golfers) => Wilson::clustered(
                    array_values(array_map(static fn (array $of): array => [array_sum($of), count($of)], $golfers)),
                    new Confidence,
                    Undefined::Incomplete,
                ),
                $figures,
            ));
            $mean[(string) $rater] = (float) array_sum($words[$rater]) / count($words[$rater]);
        }
        uasort($phrases, static fn (array $a, array $b): int => count($b['cases']) <=> count($a['cases']));

        return new CueResult(count($said), $cues, $people, $mean, array_map(static fn (array $of): array => [
            'cases' => $of['cases'],
            'raters' => array_values($of['raters']),
            'unsupported' => array_sum($of['unsupported']),
        ], $phrases));
    }
}
