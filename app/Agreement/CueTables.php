<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Sitting;
use Core\Codebook\CueCheck;
use Core\Codebook\CuePhrase;

/** The cues of a round as a tidy table: how long each is, and what is known against its words; not the words. */
final class CueTables
{
    public const FIELDS = [
        'cues' => [
            'case' => 'string',
            'cluster' => 'string',
            'rater' => 'string',
            'words' => 'integer',
            'provokes' => 'string',
            'unsupported' => 'string',
        ],
    ];

    /**
     * @param  array<string, CuePhrase>  $phrases
     * @return \Generator<list<string|int>> a row a cue; several phrases in one cell are parted by |
     */
    public static function cues(Sitting $round, array $phrases): \Generator
    {
        foreach (RoundCues::said($round) as $one) {
            $check = CueCheck::of($one['cue'], $phrases, $one['shown']);
            if ($check->words > 0) {
                yield [
                    $one['case'],
                    $one['golfer'],
                    $one['rater'],
                    $check->words,
                    implode('|', array_keys($check->provokes)),
                    implode('|', array_keys($check->unsupported)),
                ];
            }
        }
    }
}
