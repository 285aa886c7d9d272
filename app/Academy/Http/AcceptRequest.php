<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Links;
use App\Academy\PasswordRule;
use App\Models\Casts\Cell;
use App\Models\Enums\LinkPurpose;
use Illuminate\Foundation\Http\FormRequest;

/** The name as it is to be read, and the first password. */
final class AcceptRequest extends FormRequest
{
    /** @return array<string, list<string|PasswordRule>> */
    public function rules(Links $links): array
    {
        $link = $links->find(Cell::text($this->route('token')), LinkPurpose::Invite);

        return [
            'name' => ['required', 'string', 'max:120'],
            'password' => NewPassword::rules($link?->user, $this->input('name')),
        ];
    }
}
