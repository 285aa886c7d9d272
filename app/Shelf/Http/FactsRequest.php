<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Shelf\Actions\ChangeFacts;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;

/**
 * What is known of one swing, set right.
 *
 * @phpstan-import-type Facts from ChangeFacts
 */
final class FactsRequest extends FormRequest
{
    use TakesFacts;

    /** @return array<string, list<string|Enum|In>> */
    public function rules(): array
    {
        return [...$this->factRules(), ...$this->flightRules(), 'version' => ['required', 'integer', 'min:0'],
            'cameras' => ['array:face-on,down-the-line'],
            'cameras.*' => ['array:height,tilt'],
            'cameras.*.height' => ['nullable', 'numeric', 'between:0,1000'],
            'cameras.*.tilt' => ['nullable', 'numeric', 'between:-90,90'],
        ];
    }

    /**
     * @return array<string, array{camera_height_cm: ?float, camera_tilt_deg: ?float}> by view, of those that were
     * sent
     */
    public function cameras(): array
    {
        $out = [];
        foreach ((array) $this->validated('cameras', []) as $view => $of) {
            $number = static fn (string $field): ?float => is_array($of) && is_numeric($of[$field] ?? null)
                ? (float) $of[$field]
                : null;
            $out[(string) $view] = ['camera_height_cm' => $number('height'), 'camera_tilt_deg' => $number('tilt')];
        }

        return $out;
    }

    /** @return Facts with what the ball did */
    public function swing(): array
    {
        return [...$this->facts(), 'outcome' => $this->flight()];
    }
}
