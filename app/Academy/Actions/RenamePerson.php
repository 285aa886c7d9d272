<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Changes one's own name. */
final readonly class RenamePerson
{
    public function __invoke(User $person, string $name): void
    {
        DB::transaction(static function () use ($person, $name): void {
            $person->fill(compact('name'));
            if ($person->isDirty()) {
                $person->save();
                event(new PersonChanged($person, 'person-changed', $person, ['fields' => 'name']));
            }
        });
    }
}
