<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\Models\Academy;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;

/** Between which days. */
final class HoursRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'from' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after:1990-01-01'],
            'to' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after_or_equal:from', 'before:2100-01-01'],
        ];
    }

    public function from(): Carbon
    {
        return Carbon::parse($this->string('from')->value(), Academy::zone())->startOfDay();
    }

    public function to(): Carbon
    {
        return Carbon::parse($this->string('to')->value(), Academy::zone())->endOfDay();
    }
}
