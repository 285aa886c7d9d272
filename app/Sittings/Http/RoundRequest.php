<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Codebook\StandardLenses;
use Core\Consensus\PanelRules;
use Core\Reading\CaseKind;
use Core\Reading\Ladder;
use Core\Sight\SittingKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

final class RoundRequest extends FormRequest
{
    private const ID = ['integer', 'between:1,9007199254740991', 'distinct'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'kind' => ['required', Rule::in([SittingKind::Panel, SittingKind::Round])],
            'lens' => ['sometimes', 'string', Rule::in(array_keys(app(Codebooks::class)->document()->lenses()))],
            'show' => ['required', Rule::in(['both', 'film', 'trace', 'crossed'])],
            'reveals' => ['sometimes', 'boolean'],
            'recordings' => ['required_without_all:series,pairs,ladder,from', 'array', 'max:200'],
            'recordings.*' => self::ID,
            'series' => ['sometimes', 'array', 'max:40'],
            'series.*' => ['string', 'regex:/^\d{1,18}(,\d{1,18}){2,5}$/'],
            'pairs' => ['sometimes', 'array', 'max:40'],
            'pairs.*' => ['array:before,after'],
            'pairs.*.before' => ['nullable', 'required_with:pairs.*.after', 'integer'],
            'pairs.*.after' => ['nullable', 'required_with:pairs.*.before', 'integer'],
            'ladder' => ['sometimes', 'array', 'list', 'max:'.Ladder::MOST],
            'ladder.*' => ['nullable', 'integer', 'between:1,9007199254740991'],
            'repeats' => ['sometimes', 'array', 'max:50'],
            'waits' => ['sometimes', 'boolean'],
            'repeats.*' => self::ID,
            'majority' => ['nullable', 'integer', 'between:51,100'],
            'able' => ['nullable', 'integer', 'between:2,50'],
            'rounds' => ['nullable', 'integer', 'between:0,5'],
            'stability' => ['nullable', 'integer', 'between:51,100'],
            'due' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'keep' => ['nullable', 'integer', 'between:0,50'],
            'from' => ['nullable', 'string', 'max:26'],
            'members' => ['required', 'array', 'min:1'],
            'members.*' => self::ID,
        ];
    }

    /**
     * Whether all that is chosen is there, asked at once: what is hidden from who plans cannot be planned with.
     *
     * @return list<\Closure(Validator): void>
     */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $user = $this->user();
            if ($validator->errors()->isNotEmpty() || ! $user instanceof User) {
                return;
            }
            $asked = [...(array) $this->input('recordings', []), ...(array) $this->input('repeats', [])];
            foreach ((array) $this->input('pairs', []) as $pair) {
                array_push($asked, ...array_values(is_array($pair) ? $pair : []));
            }
            array_push($asked, ...array_values((array) $this->input('ladder', [])));
            $asked = array_map(Cell::int(...), array_filter($asked, static fn (mixed $id): bool => $id !== null));
            $hidden = app(Onlookers::class)->of($user)->hidden();
            $known = Recording::query()->whereKey($asked)->whereNotIn('id', $hidden)->count();
            if ($known !== count(array_unique($asked))) {
                $validator->errors()->add('recordings', (string) __('plan.unknown-recording'));
            }
            $members = array_map(Cell::int(...), (array) $this->input('members', []));
            if (User::query()->whereKey($members)->count() !== count(array_unique($members))) {
                $validator->errors()->add('members', (string) __('plan.unknown-member'));
            }
        }];
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

        $steps = array_values(array_filter(
            (array) $this->validated('ladder', []),
            static fn (mixed $id): bool => $id !== null,
        ));
        if ($steps !== []) {
            $out[] = ['kind' => CaseKind::Ladder, 'recordings' => array_map(Cell::int(...), $steps)];
        }

        return $out;
    }

    /** The earlier round whose kept cases are asked again; null where none is named. */
    public function from(): ?Sitting
    {
        return $this->filled('from')
            ? Sitting::query()
                ->where('kind', SittingKind::Round)
                ->where('public_id', $this->string('from')->value())
                ->firstOrFail()
            : null;
    }

    /** What a panel is to call a consensus; what is not said is as it is for the academy. */
    public function panelRules(): PanelRules
    {
        $percent = fn (string $of): float => $this->filled($of) ? $this->integer($of) / 100.0
            : config()->float("academy.$of");

        return new PanelRules(
            $percent('majority'),
            $this->filled('able') ? $this->integer('able') : config()->integer('academy.able'),
            $this->filled('rounds') ? $this->integer('rounds') : config()->integer('academy.following_rounds'),
            $percent('stability'),
        );
    }

    public function due(): ?Carbon
    {
        return $this->filled('due') ? Carbon::parse($this->string('due')->value()) : null;
    }

    public function lens(): string
    {
        return $this->has('lens') ? $this->string('lens')->value() : StandardLenses::DEFAULT;
    }

    /** @return 'both'|'film'|'trace'|'crossed' what readers are shown */
    public function show(): string
    {
        return match ($this->string('show')->value()) {
            'film' => 'film',
            'trace' => 'trace',
            'crossed' => 'crossed',
            default => 'both',
        };
    }
}
