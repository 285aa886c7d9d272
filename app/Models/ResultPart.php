<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\FigurePart;

/**
 * @property int $sitting_result_id
 * @property FigurePart $part
 * @property string $subject  what or whom the part is about, where there are several
 * @property array<string, mixed> $body
 */
final class ResultPart extends Row
{
    public $timestamps = false;

    protected $fillable = ['sitting_result_id', 'part', 'subject', 'body'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['part' => FigurePart::class, 'body' => 'array'];
    }
}
