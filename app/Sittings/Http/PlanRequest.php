<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use Illuminate\Foundation\Http\FormRequest;

/** What a suggested set of cases is to be like. */
final class PlanRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'suggest' => ['sometimes', 'integer', 'between:2,200'],
            'share' => ['sometimes', 'integer', 'between:5,95'],
            'again' => ['sometimes', 'integer', 'between:0,50'],
            'seed' => ['sometimes', 'integer', 'between:1,1000000'],
        ];
    }

    /** @return array{suggest: ?int, share: int, again: int, seed: int} */
    public function asked(): array
    {
        return [
            'suggest' => $this->has('suggest') ? $this->integer('suggest') : null,
            'share' => $this->integer('share', 40),
            'again' => $this->integer('again'),
            'seed' => $this->integer('seed', 1),
        ];
    }
}
