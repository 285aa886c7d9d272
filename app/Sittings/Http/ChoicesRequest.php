<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Models\Casts\Cell;
use App\Sittings\Pages\PlanChoices;
use Core\Reading\Ladder;
use Illuminate\Foundation\Http\FormRequest;

/**
 * What is looked for while a round is planned, with what is chosen so far.
 *
 * @phpstan-import-type Chosen from PlanChoices
 */
final class ChoicesRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'find' => ['nullable', 'string', 'max:80'],
            'recordings' => ['sometimes', 'array', 'max:200'],
            'recordings.*' => ['integer', 'between:1,9007199254740991'],
            'series' => ['sometimes', 'array', 'max:40'],
            'series.*' => ['string', 'max:120'],
            'pairs' => ['sometimes', 'array', 'max:3'],
            'pairs.*' => ['array:before,after'],
            'pairs.*.before' => ['nullable', 'integer', 'between:1,9007199254740991'],
            'pairs.*.after' => ['nullable', 'integer', 'between:1,9007199254740991'],
            'ladder' => ['sometimes', 'array', 'max:'.Ladder::MOST],
            'ladder.*' => ['nullable', 'integer', 'between:1,9007199254740991'],
        ];
    }

    /** @return Chosen */
    public function chosen(): array
    {
        return self::of($this->string('find')->squish()->value(), $this->query());
    }

    /**
     * @param  array<mixed>  $fields
     * @return Chosen what of it can be chosen at all; the rest is left out
     */
    public static function of(string $find, array $fields): array
    {
        $list = static fn (string $name): array => is_array($fields[$name] ?? null) ? $fields[$name] : [];
        $id = static fn (mixed $v): int => is_int($v) || (is_string($v) && ctype_digit($v) && strlen($v) < 17)
            ? Cell::int($v)
            : 0;
        $pairs = [];
        foreach ($list('pairs') as $i => $pair) {
            [$before, $after] = is_array($pair) ? [$id($pair['before'] ?? 0), $id($pair['after'] ?? 0)] : [0, 0];
            if ($before + $after > 0) {
                $pairs[$i] = compact('before', 'after');
            }
        }

        return [
            'find' => $find,
            'recordings' => array_values(
                array_filter(array_map($id, $list('recordings')), static fn (int $one): bool => $one > 0),
            ),
            'series' => array_values(array_filter($list('series'), is_string(...))),
            'pairs' => $pairs,
            'ladder' => array_map($id, array_slice(array_values($list('ladder')), 0, Ladder::MOST)),
        ];
    }
}
