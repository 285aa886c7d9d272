<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use App\Lessons\PlanFields;
use Core\Codebook\Rung;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** How a drill is to be done, what is said with it, until when. */
final class PlanRequest extends FormRequest
{
    /** Lines over a still, and places at most of one. */
    private const LINES = 8;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $texts = [];
        foreach (PlanFields::TEXTS as $name => $most) {
            $texts["plan.$name"] = ['nullable', 'string', "max:$most"];
        }
        [$least, $most] = PlanFields::SPEEDS;

        return [
            'plan' => ['required', 'array'],
            ...$texts,
            ...array_fill_keys(
                array_map(static fn (string $n): string => "plan.$n", PlanFields::RUNGS),
                ['required', 'string', Rule::enum(Rung::class)],
            ),
            'plan.speed' => ['required', 'integer', "between:$least,$most"],
            'plan.ball' => ['required', 'string', Rule::in(PlanFields::BALLS)],
            'reason' => ['nullable', 'string', 'max:2000'],
            'until' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:1990-01-01', 'before:2100-01-01'],
            'next_on' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:1990-01-01', 'before:2100-01-01'],
            'hand_over' => ['boolean'],
            'lines' => ['nullable', 'json', 'max:2000'],
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $at = static fn (string $rung): int => (int) array_search(
                $rung,
                array_column(Rung::cases(), 'value'),
                true,
            );
            $plan = (array) $this->input('plan');
            if (is_string($plan['from'] ?? null) && is_string($plan['to'] ?? null) && $at($plan['from']) > $at($plan['to'])) {
                $validator->errors()->add('plan.to', (string) __('prescriptions.ladder-upward'));
            }
        }];
    }

    /** @return array<string, string|int> */
    public function plan(): array
    {
        $out = [];
        foreach ([...array_keys(PlanFields::TEXTS), ...PlanFields::RUNGS, 'ball'] as $name) {
            $out[$name] = $this->string("plan.$name")->trim()->value();
        }

        return [...$out, 'speed' => $this->integer('plan.speed')];
    }

    public function reason(): string
    {
        return $this->string('reason')->trim()->value();
    }

    public function day(string $name): ?string
    {
        return $this->filled($name) ? $this->string($name)->value() : null;
    }

    /**
     * @return array<string, list<list<float>>> lines as x, y, x, y in parts of the picture; what is none is left out
     */
    public function lines(): array
    {
        $out = [];
        $sent = json_decode($this->string('lines', '[]')->value(), true, 8);
        foreach (array_slice(is_array($sent) ? $sent : [], 0, self::LINES) as $line) {
            $ends = is_array($line) ? array_values(array_filter($line, is_numeric(...))) : [];
            if (count($ends) === 4) {
                $out[] = array_map(static fn (mixed $v): float => round(max(0.0, min(1.0, (float) $v)), 4), $ends);
            }
        }

        return $out === [] ? [] : ['before' => $out];
    }
}
