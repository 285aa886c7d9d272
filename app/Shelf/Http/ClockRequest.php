<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use Illuminate\Foundation\Http\FormRequest;

/** How the film's clock is to be brought to the trace's. */
final class ClockRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'by' => ['required', 'in:correlation,impact,hand,drift'],
            'shift' => ['required_if:by,hand,drift', 'nullable', 'numeric', 'between:-1,1'],
        ];
    }

    /** @return 'correlation'|'impact'|'hand'|'drift' */
    public function by(): string
    {
        return match ($this->string('by')->value()) {
            'correlation' => 'correlation',
            'impact' => 'impact',
            'drift' => 'drift',
            default => 'hand',
        };
    }
}
