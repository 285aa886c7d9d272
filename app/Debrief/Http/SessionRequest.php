<?php

declare(strict_types=1);

namespace App\Debrief\Http;

use App\Models\Casts\Cell;
use App\Models\Enums\VoteKind;
use App\Models\Enums\VoteStage;
use Core\Consensus\LiesIn;
use Core\Sight\Reveal;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\Exists;

/** What a presenter asks of a debrief; each of its forms has some of it. */
final class SessionRequest extends FormRequest
{
    private const ID = 'between:1,9007199254740991';

    /** @return array<string, list<string|Enum|Exists>> */
    public function rules(): array
    {
        return match ($this->route()?->getName()) {
            'debriefs.begin' => ['cases' => ['required', 'array', 'max:100'], 'cases.*' => ['integer', self::ID]],
            'debriefs.show' => [
                'case' => ['required', 'integer', self::ID],
                'reveal' => ['nullable', 'integer', Rule::enum(Reveal::class)],
                'topic' => ['nullable', 'string', 'max:40', 'regex:/^[a-z0-9-]+$/'],
                'swing' => ['nullable', 'integer', 'between:1,6'],
                't' => ['nullable', 'numeric', 'between:0,600'],
            ],
            'debriefs.case' => [
                'notes' => ['nullable', 'string', 'max:4000'],
                'position' => ['nullable', 'integer', 'between:1,100'],
            ],
            'debriefs.ask' => [
                'case' => ['required', 'integer', self::ID],
                'kind' => ['required', 'string', Rule::enum(VoteKind::class)],
                'fault' => ['nullable', 'string', 'max:40'],
            ],
            'debriefs.on' => ['from' => ['required', 'string', Rule::enum(VoteStage::class)]],
            'debriefs.decide' => [
                'case' => ['nullable', 'integer', self::ID],
                'lies' => ['required', 'string', Rule::enum(LiesIn::class)],
                'what' => ['required', 'string', 'min:3', 'max:400'],
                'owner' => [
                    'bail', 'required', 'integer', self::ID, Rule::exists('users', 'id')->where('state', 'active'),
                ],
                'due' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            ],
            'decisions.done' => ['outcome' => ['nullable', 'string', 'max:400']],
            default => [],
        };
    }

    /** @return list<int> */
    public function cases(): array
    {
        return array_values(array_map(static fn (mixed $id): int => Cell::int($id), (array) $this->validated('cases')));
    }

    public function case(): int
    {
        return $this->integer('case');
    }

    public function reveal(): ?Reveal
    {
        return $this->filled('reveal') ? Reveal::from($this->integer('reveal')) : null;
    }

    public function topic(): ?string
    {
        return $this->filled('topic') ? $this->string('topic')->value() : null;
    }

    /** @return array{swing: int, t: float}|null */
    public function moment(): ?array
    {
        return $this->filled('t') ? ['swing' => max(1, $this->integer('swing', 1)), 't' => $this->float('t')] : null;
    }

    public function kind(): VoteKind
    {
        return VoteKind::from($this->string('kind')->value());
    }

    /** Of whose presence it is asked; empty of everything else. */
    public function fault(): string
    {
        return $this->kind() === VoteKind::Presence ? $this->string('fault')->value() : '';
    }

    public function from(): VoteStage
    {
        return VoteStage::from($this->string('from')->value());
    }

    public function lies(): LiesIn
    {
        return LiesIn::from($this->string('lies')->value());
    }

    public function due(): ?Carbon
    {
        return $this->filled('due') ? Carbon::parse($this->string('due')->value()) : null;
    }
}
