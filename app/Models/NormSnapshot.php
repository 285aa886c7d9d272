<?php

declare(strict_types=1);

namespace App\Models;

use Core\Measurement\Norms;
use Illuminate\Support\Carbon;

/**
 * The academy's own distributions as they were on one day. Never live: what is judged against them would tell of every
 * recording that came or went since.
 *
 * @property int $id
 * @property Carbon $taken_at
 * @property int $recordings
 * @property array<string, array{mean: float, sd: float, n: int}> $norms
 */
final class NormSnapshot extends Row
{
    public $timestamps = false;

    protected $fillable = ['taken_at', 'recordings', 'norms'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['taken_at' => 'datetime', 'norms' => 'array'];
    }

    public function toCore(): Norms
    {
        return new Norms(
            array_map(
                static fn (array $n): array => [
                    'mean' => (float) $n['mean'],
                    'sd' => (float) $n['sd'],
                    'n' => (int) $n['n'],
                ],
                $this->norms,
            ),
        );
    }
}
