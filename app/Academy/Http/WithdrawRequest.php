<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Enum;

/** What a golfer takes back. */
final class WithdrawRequest extends FormRequest
{
    use TakesScopes;

    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return $this->scopeRules();
    }
}
