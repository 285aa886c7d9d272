<?php

declare(strict_types=1);

namespace App\Models;

use Core\Reading\BallFlight;

/**
 * One ball of a session, as it was seen or a device gave it.
 *
 * @property int $id
 * @property int $lesson_id
 * @property int $place
 * @property ?string $club
 * @property array<string, mixed> $flight
 * @property ?string $note
 */
final class LessonBall extends Row
{
    public const UPDATED_AT = null;

    protected $fillable = ['lesson_id', 'place', 'club', 'flight', 'note'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['flight' => 'array', 'place' => 'integer'];
    }

    public function toCore(): BallFlight
    {
        return BallFlight::fromArray($this->flight);
    }
}
