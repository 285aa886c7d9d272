<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Codebook\StandardLenses;
use Core\Reading\CaseKind;
use Core\Sight\SittingKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class RoundRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        // What is hidden from who plans is not there to be planned with.
        $known = Rule::exists(Recording::class, 'id')->whereNotIn(
            'id',
            $this->user() instanceof User ? app(Onlookers::class)->of($this->user())->hidden() : [],
        );

        return [
            'name' => ['required', 'string', 'max:120'],
            'kind' => ['required', Rule::in([SittingKind::Panel, SittingKind::Round])],
            'lens' => ['sometimes', 'string', Rule::in(array_keys(app(Codebooks::class)->document()->lenses()))],
            'show' => ['required', Rule::in(['both', 'film', 'trace'])],
            'reveals' => ['sometimes', 'boolean'],
            'recordings' => ['required_without_all:series,pairs', 'array', 'max:200'],
            'recordings.*' => ['distinct', $known],
            'series' => ['sometimes', 'array', 'max:40'],
            'series.*' => ['string', 'regex:/^\d{1,18}(,\d{1,18}){2,5}$/'],
            'pairs' => ['sometimes', 'array', 'max:40'],
            'pairs.*' => ['array:before,after'],
            'pairs.*.before' => ['nullable', 'required_with:pairs.*.after', $known],
            'pairs.*.after' => ['nullable', 'required_with:pairs.*.before', $known],
            'repeats' => ['sometimes', 'array', 'max:50'],
            'waits' => ['sometimes', 'boolean'],
            'repeats.*' => ['distinct', $known],
            'members' => ['required', 'array', 'min:1'],
            'members.*' => ['distinct', Rule::exists(User::class, 'id')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'recordings.required_without_all' => (string) __('plan.choose-recording'),
            'pairs.*.before.required_with' => 'A pair needs the swing before as well.',
            'pairs.*.after.required_with' => 'A pair needs the swing after as well.',
            'members.required' => (string) __('plan.choose-member'),
        ];
    }

    /** @return list<array{kind: CaseKind, recordings: list<int>}> cases of several swings */
    public function groups(): array
    {
        $out = [];
        foreach ((array) $this->validated('series', []) as $series) {
            $out[] = [
                'kind' => CaseKind::Series,
                'recordings' => array_map(intval(...), explode(',', Cell::text($series))),
            ];
        }
        foreach ((array) $this->validated('pairs', []) as $pair) {
            if (is_array($pair) && isset($pair['before'], $pair['after'])) {
                $out[] = [
                    'kind' => CaseKind::Pair,
                    'recordings' => [Cell::int($pair['before']), Cell::int($pair['after'])],
                ];
            }
        }

        return $out;
    }

    public function lens(): string
    {
        return $this->has('lens') ? $this->string('lens')->value() : StandardLenses::DEFAULT;
    }

    /** @return 'both'|'film'|'trace' what readers are shown */
    public function show(): string
    {
        return match ($this->string('show')->value()) {
            'film' => 'film',
            'trace' => 'trace',
            default => 'both',
        };
    }
}
