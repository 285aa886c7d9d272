<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\GroupKind;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * People who have something in common, to be chosen together.
 *
 * @property int $id
 * @property GroupKind $kind
 * @property string $name
 * @property \Illuminate\Database\Eloquent\Collection<int, User> $people
 */
final class Group extends Row
{
    protected $fillable = ['kind', 'name'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => GroupKind::class];
    }

    /** @return BelongsToMany<User, $this> */
    public function people(): BelongsToMany
    {
        return $this->belongsToMany(User::class)->orderBy('users.id');
    }
}
