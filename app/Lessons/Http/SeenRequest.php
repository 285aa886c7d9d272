<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use App\Codebook\Codebooks;
use Core\Reading\Decision;
use Core\Reading\Outside;
use Core\Reading\Reading;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What was seen in a session: faults, what to do with each, and what causes them. */
final class SeenRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Codebooks $codebooks): array
    {
        $document = $codebooks->document();
        $lens = is_string($this->input('lens')) ? $this->input('lens') : '';
        $lenses = array_keys($document->lenses());
        $faults = in_array($lens, $lenses, true) ? $codebooks->current($lens)->keys() : [];

        return [
            'lens' => ['required', 'string', Rule::in($lenses)],
            'faults' => ['array:'.implode(',', $faults)],
            'faults.*' => ['nullable', 'string', Rule::enum(Decision::class)],
            'causes' => ['array', 'max:'.Reading::CAUSES],
            'causes.*' => ['string', 'distinct', Rule::in([...$faults, ...array_column(Outside::cases(), 'value')])],
        ];
    }

    public function lens(): string
    {
        return $this->string('lens')->value();
    }

    /** @return array<string, string> */
    public function faults(): array
    {
        $out = [];
        foreach ((array) $this->validated('faults', []) as $fault => $decision) {
            if (is_string($decision) && $decision !== '') {
                $out[(string) $fault] = $decision;
            }
        }

        return $out;
    }

    /** @return list<string> */
    public function causes(): array
    {
        return array_values(array_filter((array) $this->validated('causes', []), is_string(...)));
    }
}
