<?php

declare(strict_types=1);

namespace App\Report\Http;

use App\Models\Casts\Cell;
use App\Models\RoundReport;
use Illuminate\Foundation\Http\FormRequest;

/** What the head coach says in a round's report. */
final class ReportRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $words = static fn (string $of): array => ['present', 'nullable', 'string', 'max:'.RoundReport::MOST[$of]];

        return [
            'purpose' => $words('purpose'),
            'readers' => $words('readers'),
            'meaning' => $words('meaning'),
            'revision' => ['required', 'integer', 'between:0,1000000'],
        ];
    }

    /** @return array{purpose: string, readers: string, meaning: string} */
    public function words(): array
    {
        $of = fn (string $what): string => trim(str_replace("\r\n", "\n", Cell::text($this->validated($what) ?? '')));

        return ['purpose' => $of('purpose'), 'readers' => $of('readers'), 'meaning' => $of('meaning')];
    }

    public function revision(): int
    {
        return Cell::int($this->validated('revision'));
    }
}
