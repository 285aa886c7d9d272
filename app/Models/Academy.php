<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * The academy that runs here: one, or none before its first head coach has begun.
 *
 * @property int $id
 * @property string $name
 * @property string $zone  of its days and hours
 * @property ?string $letterhead  what stands at the head of its letters and reports, in lines
 * @property bool $is_sample  the invented one, to be cleared away
 * @property ?int $erase_after_consent_days  null: as long as nobody says otherwise
 * @property ?int $erase_film_after_days
 * @property ?string $moved_in  the archive by which it came here from another machine
 * @property ?Carbon $updated_at
 */
final class Academy extends Row
{
    public const ID = 1;

    /** As it is bound while a request lasts. */
    private const HERE = 'academy.here';

    public $incrementing = false;

    protected $table = 'academies';

    protected $fillable = [
        'id',
        'name',
        'zone',
        'letterhead',
        'is_sample',
        'erase_after_consent_days',
        'erase_film_after_days',
    ];

    protected $attributes = ['erase_after_consent_days' => null, 'erase_film_after_days' => null, 'moved_in' => null];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_sample' => 'boolean'];
    }

    protected static function booted(): void
    {
        self::saved(static fn () => app()->forgetInstance(self::HERE));
        self::deleted(static fn () => app()->forgetInstance(self::HERE));
    }

    /** Asked for by every page that tells a time; read once a request. */
    public static function here(): ?self
    {
        self::ask();
        $here = app(self::HERE);

        return $here instanceof self ? $here : null;
    }

    /** Who has read its row along with something else says so, and it is not asked for again. */
    public static function isHere(self $academy): void
    {
        self::ask();
        app()->instance(self::HERE, $academy);
    }

    private static function ask(): void
    {
        app()->scopedIf(self::HERE, static fn (): ?self => self::query()->find(self::ID));
    }

    public static function zone(): string
    {
        return self::here()->zone ?? config()->string('academy.zone');
    }

    /** The day it is there now; what ends on a day holds until that day is over. */
    public static function today(): string
    {
        return now()->timezone(self::zone())->toDateString();
    }

    /** Whether invented people with known passwords are in it. */
    public static function isSample(): bool
    {
        return self::here()?->is_sample === true;
    }
}
