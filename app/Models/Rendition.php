<?php

declare(strict_types=1);

namespace App\Models;

use Core\Planning\Rendition as CoreRendition;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * How one place in a sitting shows one swing of its case; see Core\Planning\Rendition.
 *
 * @property int $id
 * @property int $sitting_case_id
 * @property int $recording_id
 * @property string $public_id
 * @property float $start_s
 * @property float $end_s
 * @property list<float> $nudges
 * @property array<string, array{first: int, last: int, fine?: int, stills: array<string, int>}> $films  by view: which
 *     frames of the filmed view were encoded anew and how fine, and the stations' frames among them
 * @property SittingCase $case
 * @property Recording $recording
 */
final class Rendition extends Row
{
    public $timestamps = false;

    protected $table = 'renditions';

    protected $fillable = ['sitting_case_id', 'recording_id', 'public_id', 'start_s', 'end_s', 'nudges', 'films'];

    protected $attributes = ['films' => '{}'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['start_s' => 'float', 'end_s' => 'float', 'nudges' => 'array', 'films' => 'array'];
    }

    /** @return BelongsTo<SittingCase, $this> */
    public function case(): BelongsTo
    {
        return $this->belongsTo(SittingCase::class, 'sitting_case_id');
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }

    public function toCore(): CoreRendition
    {
        return new CoreRendition($this->start_s, $this->end_s, array_map(floatval(...), $this->nudges));
    }

    /** Where a part of a filmed view is kept on the films disk. */
    public function path(string $view, string $part): string
    {
        return "renditions/{$this->public_id}/$view/$part";
    }
}
