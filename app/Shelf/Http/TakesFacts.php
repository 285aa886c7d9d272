<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Models\Casts\Cell;
use App\Shelf\Actions\ChangeFacts;
use Core\Codebook\SwingSize;
use Core\Reading\BallFlight;
use Core\Reading\SwingKind;
use Core\Reading\Turf;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;

/**
 * What is known of a swing, as forms say it. A field that is not sent stays as it is; one that is sent empty
 * is unknown.
 *
 * @phpstan-import-type Facts from ChangeFacts
 */
trait TakesFacts
{
    /** @return array<string, list<string|Enum|In>> */
    private function factRules(): array
    {
        return [
            'club' => ['sometimes', 'required', 'string', 'max:40'],
            'swing' => ['sometimes', 'required', 'string', Rule::enum(SwingKind::class)],
            'size' => ['nullable', 'string', Rule::enum(SwingSize::class)],
            'loft_deg' => ['nullable', 'numeric', 'between:0,80'],
            'shape' => ['nullable', 'string', 'max:40'],
            'effort_pct' => ['nullable', 'integer', 'between:1,120'],
            'has_ball' => ['nullable', 'boolean'],
            'is_cold' => ['sometimes', 'boolean'],
            'series' => ['nullable', 'string', 'max:60'],
            'place' => ['nullable', 'integer', 'between:1,500'],
        ];
    }

    /** @return array<string, list<string|Enum|In>> the ball's; all of them, or none */
    private function flightRules(): array
    {
        return [
            'start_deg' => ['nullable', 'numeric', 'between:-45,45', 'required_with:curve_deg,height,strike'],
            'curve_deg' => ['nullable', 'numeric', 'between:-60,60', 'required_with:start_deg'],
            'height' => ['nullable', 'string', Rule::in(BallFlight::HEIGHTS), 'required_with:start_deg'],
            'strike' => ['nullable', 'string', Rule::in(BallFlight::STRIKES), 'required_with:start_deg'],
            'low_point_cm' => ['nullable', 'numeric', 'between:-40,40'],
            'path_deg' => ['nullable', 'numeric', 'between:-30,30'],
            'attack_deg' => ['nullable', 'numeric', 'between:-30,30'],
            'turf' => ['nullable', 'string', Rule::enum(Turf::class)],
        ];
    }

    /** @return Facts */
    public function facts(): array
    {
        $out = [];
        foreach ($this->validated() as $field => $value) {
            $said = $value !== null && $value !== '';
            match ($field) {
                'club', 'swing' => $out[$field] = Cell::text($value),
                'size', 'shape', 'series' => $out[$field] = $said ? trim(Cell::text($value)) : null,
                'effort_pct', 'place' => $out[$field] = $said ? Cell::int($value) : null,
                'loft_deg' => $out[$field] = $said ? Cell::float($value) : null,
                'has_ball' => $out[$field] = $said ? (bool) $value : null,
                'is_cold' => $out[$field] = (bool) $value,
                default => null,
            };
        }

        return $out;
    }

    /** @return array<string, mixed>|null null where nothing is known of the ball */
    public function flight(): ?array
    {
        if (! $this->filled('start_deg')) {
            return null;
        }
        $out = ['low_point_cm' => null];
        foreach (['start_deg', 'curve_deg', 'low_point_cm', 'path_deg', 'attack_deg'] as $number) {
            if ($this->filled($number)) {
                $out[$number] = $this->float($number);
            }
        }
        foreach (['height', 'strike', 'turf'] as $word) {
            if ($this->filled($word)) {
                $out[$word] = $this->string($word)->value();
            }
        }

        return BallFlight::fromArray($out)->toArray();
    }
}
