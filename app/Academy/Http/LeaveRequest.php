<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;

/** Leaving the academy, by who knows the password. */
final class LeaveRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['current_to_leave' => ['bail', 'required', 'string', 'current_password']];
    }
}
