<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use Core\Prescription\Seen;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What the golfer felt and who teaches thinks, before any number. */
final class FeltRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $one = ['required', 'string', Rule::in(array_column(Seen::said(), 'value'))];

        return [
            'felt' => $one,
            'felt_says' => ['nullable', 'string', 'max:2000'],
            'judged' => $one,
            'judged_says' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array{felt: Seen, felt_says: string, judged: Seen, judged_says: string} */
    public function said(): array
    {
        return [
            'felt' => Seen::from($this->string('felt')->value()),
            'felt_says' => $this->string('felt_says')->trim()->value(),
            'judged' => Seen::from($this->string('judged')->value()),
            'judged_says' => $this->string('judged_says')->trim()->value(),
        ];
    }
}
