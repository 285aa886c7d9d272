<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSeverity;
use Core\Codebook\LimitSide;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;

/** What a golfer's body is to be spared. */
final class LimitRequest extends FormRequest
{
    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return [
            'region' => ['required', 'string', Rule::enum(LimitRegion::class)],
            'side' => ['nullable', 'string', Rule::enum(LimitSide::class)],
            'severity' => ['required', 'string', Rule::enum(LimitSeverity::class)],
            'since' => [
                'bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:1900-01-01', 'before_or_equal:tomorrow',
            ],
            'is_cleared' => ['boolean'],
            'cleared_until' => [
                'bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01',
            ],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }

    /**
     * @return array{region: LimitRegion, side: ?LimitSide, severity: LimitSeverity, since: ?Carbon, is_cleared: bool,
     *     cleared_until: ?Carbon, note: ?string}
     */
    public function limit(): array
    {
        $region = LimitRegion::from($this->string('region')->value());
        $day = fn (string $field): ?Carbon => $this->filled($field)
            ? Carbon::parse($this->string($field)->value())
            : null;

        return [
            'region' => $region,
            // A form that was filled in for another region still says a side.
            'side' => $region->hasSides() ? LimitSide::tryFrom($this->string('side')->value()) : null,
            'severity' => LimitSeverity::from($this->string('severity')->value()),
            'since' => $day('since'),
            'is_cleared' => $this->boolean('is_cleared'),
            'cleared_until' => $this->boolean('is_cleared') ? $day('cleared_until') : null,
            'note' => $this->filled('note') ? $this->string('note')->trim()->value() : null,
        ];
    }
}
