<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Models\Casts\Cell;
use Core\Sight\Scope;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;

/** Which scopes of consent a form is about: one or more. */
trait TakesScopes
{
    /** @return array<string, list<string|Enum>> */
    private function scopeRules(): array
    {
        return [
            'scopes' => ['required', 'array', 'min:1', 'max:8'],
            'scopes.*' => ['string', 'distinct', Rule::enum(Scope::class)],
        ];
    }

    /** @return non-empty-list<Scope> */
    public function scopes(): array
    {
        $scopes = array_map(
            static fn (mixed $scope): Scope => Scope::from(Cell::text($scope)),
            array_values((array) $this->validated('scopes')),
        );

        return $scopes === [] ? abort(422) : $scopes;
    }
}
