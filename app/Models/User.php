<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\NoticeKind;
use App\Models\Enums\NoticeWay;
use App\Models\Enums\UserState;
use Core\Sight\Role;
use Core\Sight\SittingKind;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Role $role
 * @property bool $on_panel  whether they sit on the panel beside what they are otherwise
 * @property UserState $state
 * @property ?Carbon $state_since
 * @property ?int $golfer_id  the golfer that this person is, where some of the swings are theirs
 * @property ?string $factor_secret  of the time-based codes; in use once it has been confirmed
 * @property ?Carbon $factor_since
 * @property ?int $factor_step  of the last code taken: none is taken twice
 * @property ?list<string> $recovery_codes  hashes of those left
 * @property ?array<string, string> $keys  the person's own keyboard map, where it differs
 * @property ?array<string, string> $notice_ways  how they want to be told, by kind, where it differs
 * @property ?Carbon $digest_on  the day of the last letter of what they had not seen
 * @property ?Carbon $created_at
 * @property ?Golfer $golfer
 * @property \Illuminate\Database\Eloquent\Collection<int, Group> $groups
 */
final class User extends Authenticatable
{
    use BootsByName;

    protected $table = 'users';

    protected $fillable = ['name', 'email', 'password', 'role'];

    protected $hidden = ['password', 'remember_token', 'factor_secret', 'recovery_codes'];

    protected $attributes = [
        'state' => 'active',
        'state_since' => null,
        'on_panel' => false,
        'golfer_id' => null,
        'factor_secret' => null,
        'factor_since' => null,
        'factor_step' => null,
        'recovery_codes' => null,
        'notice_ways' => null,
        'digest_on' => null,
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'role' => Role::class,
            'keys' => 'array',
            'on_panel' => 'boolean',
            'state' => UserState::class,
            'state_since' => 'datetime',
            'factor_secret' => 'encrypted',
            'factor_since' => 'datetime',
            'factor_step' => 'integer',
            'recovery_codes' => 'array',
            'notice_ways' => 'array',
            'digest_on' => 'date',
        ];
    }

    /** By the address as it was meant, whichever letters are large. */
    public static function byAddress(string $email): ?self
    {
        return self::query()->whereRaw('lower(email) = ?', [mb_strtolower(trim($email))])->first();
    }

    /** @return BelongsTo<Golfer, $this> */
    public function golfer(): BelongsTo
    {
        return $this->belongsTo(Golfer::class);
    }

    /** @return BelongsToMany<Group, $this> */
    public function groups(): BelongsToMany
    {
        return $this->belongsToMany(Group::class)->orderBy('kind')->orderBy('name');
    }

    /** @return HasMany<Notice, $this> */
    public function notices(): HasMany
    {
        return $this->hasMany(Notice::class)->orderByDesc('id');
    }

    public function hears(NoticeKind $of): NoticeWay
    {
        return NoticeWay::tryFrom($this->notice_ways[$of->value] ?? '') ?? NoticeWay::Letter;
    }

    public function isHeadCoach(): bool
    {
        return $this->role === Role::HeadCoach;
    }

    public function isActive(): bool
    {
        return $this->state === UserState::Active;
    }

    /** Whether this person may have a seat in a sitting of that kind. */
    public function maySit(SittingKind $kind): bool
    {
        return $this->on_panel || $this->role->maySit($kind);
    }

    public function hasFactor(): bool
    {
        return $this->factor_since !== null;
    }

    /** Head coaches of a real academy have a second factor, or set one up before anything else. */
    public function owesFactor(): bool
    {
        return $this->isHeadCoach() && ! $this->hasFactor() && ! Academy::isSample();
    }
}
