<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use Illuminate\Foundation\Http\FormRequest;

/** Changes of a reading as a window kept them, in the order made. What each holds is checked by the core. */
final class ChangesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'writer' => ['required', 'string', 'regex:/^[\w-]{8,40}$/'],
            'changes' => ['required', 'array', 'list', 'min:1', 'max:200'],
            'changes.*.id' => ['required', 'string', 'regex:/^[\w-]{8,40}$/'],
            'changes.*.target' => ['required', 'string', 'max:60'],
            'changes.*.value' => ['present'],
            'changes.*.base' => ['required', 'integer', 'min:0'],
            'changes.*.at' => ['required', 'integer', 'min:0'],
            'changes.*.writer' => ['nullable', 'string', 'regex:/^[\w-]{8,40}$/'],
        ];
    }

    /** @return list<array{id: string, target: string, value: mixed, base: int, at: int, writer: string}> */
    public function changes(): array
    {
        $writer = $this->string('writer')->value();

        // As sent, not as trimmed and emptied by the framework: a cue's text is the core's to judge.
        /**
         * @var list<array{id: string, target: string, value: mixed, base: int|string, at: int|string,
         * writer?: ?string}> $sent
         */
        $sent = ((array) json_decode($this->getContent(), true))['changes'] ?? $this->validated('changes');

        return array_map(
            static fn (array $c): array => [
                'id' => $c['id'],
                'target' => $c['target'],
                'value' => $c['value'] ?? null,
                'base' => (int) $c['base'],
                'at' => (int) $c['at'],
                'writer' => $c['writer'] ?? $writer,
            ],
            $sent,
        );
    }
}
