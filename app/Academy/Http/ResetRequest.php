<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Links;
use App\Academy\PasswordRule;
use App\Models\Casts\Cell;
use App\Models\Enums\LinkPurpose;
use Illuminate\Foundation\Http\FormRequest;

/** Another password, by a link. */
final class ResetRequest extends FormRequest
{
    /** @return array<string, list<string|PasswordRule>> */
    public function rules(Links $links): array
    {
        $link = $links->find(Cell::text($this->route('token')), LinkPurpose::Reset);

        return ['password' => NewPassword::rules($link?->user)];
    }
}
