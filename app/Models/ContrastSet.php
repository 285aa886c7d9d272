<?php

declare(strict_types=1);

namespace App\Models;

use Core\Motion\Handedness;
use Core\Simulation\ContrastKind;
use Core\Simulation\ContrastSet as Spec;
use Core\Trace\DeviceClass;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Support\Carbon;

/**
 * Swings of the simulator that differ in one thing, asked for by somebody and made by the queue, once for everybody.
 *
 * @property int $id
 * @property string $public_id
 * @property string $key  of what it holds
 * @property ContrastKind $kind
 * @property string $fault
 * @property ?string $other
 * @property ?string $mishap
 * @property DeviceClass $device
 * @property Handedness $hand
 * @property string $lens
 * @property int $body
 * @property ?int $asked_by
 * @property ?Carbon $made_at  null while it is being made
 * @property \Illuminate\Database\Eloquent\Collection<int, MadeSwing> $swings  in order
 */
final class ContrastSet extends Row
{
    use HasUlids;

    protected $fillable = [
        'key', 'kind', 'fault', 'other', 'mishap', 'device', 'hand', 'lens', 'body', 'asked_by', 'made_at',
    ];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['public_id'];
    }

    public function getRouteKeyName(): string
    {
        return 'public_id';
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => ContrastKind::class,
            'device' => DeviceClass::class,
            'hand' => Handedness::class,
            'made_at' => 'datetime',
        ];
    }

    /** @return BelongsToMany<MadeSwing, $this> */
    public function swings(): BelongsToMany
    {
        return $this->belongsToMany(MadeSwing::class, 'contrast_swings')->orderBy('contrast_swings.place');
    }

    public function spec(): Spec
    {
        return new Spec(
            $this->kind,
            $this->fault,
            $this->other,
            $this->mishap,
            $this->device,
            $this->hand,
            $this->lens,
            $this->body,
        );
    }
}
