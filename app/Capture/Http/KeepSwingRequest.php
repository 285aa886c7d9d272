<?php

declare(strict_types=1);

namespace App\Capture\Http;

use App\Models\Golfer;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Whose a caught swing is, and what it was made with. */
final class KeepSwingRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'golfer' => ['required', Rule::exists(Golfer::class, 'id')],
            'club' => ['required', 'string', 'max:40'],
            'series' => ['nullable', 'string', 'max:60'],
        ];
    }

    public function golfer(): Golfer
    {
        return Golfer::query()->with('consents')->whereKey($this->integer('golfer'))->firstOrFail();
    }

    public function series(): ?string
    {
        $series = $this->string('series')->value();

        return $series === '' ? null : $series;
    }
}
