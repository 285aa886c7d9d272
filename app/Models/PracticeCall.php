<?php

declare(strict_types=1);

namespace App\Models;

/**
 * One of the things said of a case that was asked whole.
 *
 * @property int $id
 * @property int $practice_answer_id
 * @property string $asks  fault, cause, decision or drill
 * @property string $fault  '' where it is about the case
 * @property string $said
 * @property string $told  the truth as it was told
 * @property bool $right
 */
final class PracticeCall extends Row
{
    public $timestamps = false;

    protected $fillable = ['practice_answer_id', 'asks', 'fault', 'said', 'told', 'right'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['right' => 'boolean'];
    }
}
