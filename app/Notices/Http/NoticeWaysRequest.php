<?php

declare(strict_types=1);

namespace App\Notices\Http;

use App\Models\Enums\NoticeKind;
use App\Models\Enums\NoticeWay;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;

/** How a person wants to be told of each kind of thing. */
final class NoticeWaysRequest extends FormRequest
{
    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return ['ways' => ['required', 'array:'.implode(',', array_column(NoticeKind::cases(), 'value'))],
            'ways.*' => ['required', 'string', Rule::enum(NoticeWay::class)]];
    }

    /** @return array<string, string> */
    public function ways(): array
    {
        /** @var array<string, string> */
        return $this->validated('ways');
    }
}
