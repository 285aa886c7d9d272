<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Models\Casts\Cell;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;

/** What a head coach changes of a round while it is held; each of its forms has some of it. */
final class RunRequest extends FormRequest
{
    private const ID = ['integer', 'between:1,9007199254740991'];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return match ($this->route()?->getName()) {
            'rounds.due' => [
                'due' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            ],
            'rounds.withdraw' => [
                'case' => ['required', ...self::ID],
                'reason' => ['required', 'string', 'min:3', 'max:400'],
            ],
            'rounds.seat' => ['who' => ['required', ...self::ID], 'instead' => ['nullable', ...self::ID]],
            default => [],
        };
    }

    public function due(): ?Carbon
    {
        return $this->filled('due') ? Carbon::parse($this->string('due')->value()) : null;
    }

    public function case(): int
    {
        return Cell::int($this->validated('case'));
    }

    public function who(): User
    {
        return User::query()->findOrFail(Cell::int($this->validated('who')));
    }

    public function instead(): ?User
    {
        return $this->filled('instead') ? User::query()->findOrFail(Cell::int($this->validated('instead'))) : null;
    }
}
