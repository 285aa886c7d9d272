<?php

declare(strict_types=1);

namespace App\Panel\Http;

use App\Exceptions\ActionException;
use Core\Consensus\DrillScore;
use Core\Consensus\Harm;
use Core\Reading\Stop;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a member says of one drill, rung by rung. */
final class JudgingRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $rungs = implode(',', array_map(static fn (Stop $s): string => $s->value, Stop::cases()));

        return [
            'drill' => ['required', 'string', 'max:40'],
            'score' => ['required', "array:$rungs"],
            'score.*' => ['nullable', 'integer', 'between:1,9'],
            'harm' => ['nullable', "array:$rungs"],
            'harm.*' => ['nullable', 'string', Rule::enum(Harm::class)],
        ];
    }

    public function drill(): string
    {
        return $this->string('drill')->value();
    }

    /**
     * @return array<string, DrillScore> by rung
     *
     * @throws ActionException where a low score does not say what the drill would do
     */
    public function scores(): array
    {
        $out = [];
        foreach (Stop::cases() as $rung) {
            if (! $this->filled("score.$rung->value")) {
                continue;
            }
            $score = $this->integer("score.$rung->value");
            $harm = $score > DrillScore::LOW
                ? null
                : Harm::tryFrom($this->string("harm.$rung->value")->value())
                    ?? throw ActionException::because('refusals.panel.judging-harm');
            $out[$rung->value] = new DrillScore($score, $harm);
        }

        return $out;
    }
}
