<?php

declare(strict_types=1);

namespace App\Models;

use Core\Motion\Station;
use Core\Reading\Call as CoreCall;
use Core\Reading\Decision;
use Core\Reading\Outside;
use Core\Reading\Pin;
use Core\Reading\Presence;
use Core\Reading\Severity;
use Core\Reading\Trend;
use Core\Reading\Turf;

/**
 * @property int $reading_id
 * @property string $fault
 * @property Presence $presence
 * @property ?Severity $severity
 * @property ?Station $onset
 * @property ?Decision $decision
 * @property ?int $confidence
 * @property list<array{on: 'film'|'trace'|'ball'|'strike'|'turf', t?: float, reason?: string, view?: string,
 *     swing?: int, turf?: string}> $pins
 * @property ?Trend $trend
 * @property ?Outside $reaction
 * @property bool $sound
 */
final class Call extends Row
{
    public $timestamps = false;

    protected $table = 'calls';

    protected $fillable = [
        'reading_id',
        'fault',
        'presence',
        'severity',
        'onset',
        'decision',
        'confidence',
        'pins',
        'trend',
        'reaction',
        'sound',
    ];

    protected $attributes = ['pins' => '[]', 'sound' => false];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'pins' => 'array',
            'presence' => Presence::class,
            'severity' => Severity::class,
            'onset' => Station::class,
            'decision' => Decision::class,
            'trend' => Trend::class,
            'reaction' => Outside::class,
            'sound' => 'boolean',
        ];
    }

    public function toCore(): CoreCall
    {
        return new CoreCall(
            $this->fault,
            $this->presence,
            $this->severity,
            $this->onset,
            $this->decision,
            $this->confidence,
            array_map(
                static fn (array $p): Pin => new Pin(
                    $p['on'],
                    isset($p['t']) ? (float) $p['t'] : null,
                    $p['reason'] ?? '',
                    $p['view'] ?? null,
                    $p['swing'] ?? 1,
                    isset($p['turf']) ? Turf::from($p['turf']) : null,
                ),
                $this->pins,
            ),
            $this->trend,
            $this->reaction,
            $this->sound,
        );
    }

    /** @return array<string, mixed> attributes of a row for a core call */
    public static function row(CoreCall $call): array
    {
        return [
            'fault' => $call->fault,
            'presence' => $call->presence->value,
            'severity' => $call->severity?->value,
            'onset' => $call->onset?->value,
            'decision' => $call->decision?->value,
            'confidence' => $call->confidence,
            'pins' => array_map(static fn (Pin $p): array => $p->toArray(), $call->pins),
            'trend' => $call->trend?->value,
            'reaction' => $call->reaction?->value,
            'sound' => $call->sound,
        ];
    }
}
