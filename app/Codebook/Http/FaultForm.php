<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\DraftForm;
use Core\Codebook\CodebookDocument;
use Core\Codebook\FaultRules;
use Core\CoreException;
use Core\Motion\Station;
use Core\Reading\Miss;
use Illuminate\Validation\Rule;

/** A fault: what it is called, what to look for, how it can be seen, and its rules at every place. */
final class FaultForm extends DraftForm
{
    private const NEEDS = ['name', 'look_for', 'in_the_trace', 'station', 'counter_example'];

    private const MAY = ['disagreement', 'cause', 'consequence'];

    protected function fields(): array
    {
        return [
            ...array_fill_keys(self::NEEDS, self::NEEDED),
            ...array_fill_keys(self::MAY, self::TEXT),
            'station' => ['required', Rule::enum(Station::class)],
            ...self::lined('confused_with'),
            ...self::ticked('misses'),
            'misses.*' => [Rule::enum(Miss::class)],
            ...self::ticked('helps'),
            ...self::ticked('harms'),
            ...self::ticked('off', 20),
            'not_of_pitches' => ['nullable', 'boolean'],
            'sights' => ['required', 'array', 'min:1', 'max:20'],
            'sights.*.needs' => ['nullable', 'array', 'max:6'],
            'sights.*.needs.*' => ['string', 'max:20'],
            'sights.*.sight' => ['required', 'string', 'max:20'],
            'sights.*.proxy' => self::TEXT,
            'sights.*.rate_hz' => ['nullable', 'numeric', 'min:1', 'max:10000'],
            'rules' => ['required', 'array', 'max:40'],
            'rules.*.supported' => ['nullable', 'json', 'max:4000'],
            'rules.*.contradicted' => ['nullable', 'json', 'max:4000'],
        ];
    }

    public function onto(CodebookDocument $document, string $key): CodebookDocument
    {
        $row = $this->worded(self::row($document, 'faults', $key), self::NEEDS, self::MAY);
        $row['confused_with'] = $this->lines('confused_with');
        foreach (['misses', 'helps', 'harms'] as $name) {
            $row[$name] = $this->ticks($name, $row[$name] ?? []);
        }
        $row['not_of_pitches'] = $this->boolean('not_of_pitches');
        if (! $row['not_of_pitches']) {
            unset($row['not_of_pitches']);
        }
        $row['sights'] = $this->sights();

        return FaultRules::put($this->counting($document->with('faults', $key, $row), $key), $key, $this->rulesSent());
    }

    /** @return list<array<string, mixed>> without rules: those are put where they belong */
    private function sights(): array
    {
        $out = [];
        foreach ((array) $this->validated('sights') as $entry) {
            $entry = (array) $entry;
            // A line of which nothing was ticked is one that was taken out.
            if (($entry['needs'] ?? []) !== []) {
                $out[] = [
                    'needs' => array_values((array) $entry['needs']),
                    'sight' => $entry['sight'] ?? '',
                    ...($entry['proxy'] ?? '') === '' || ($entry['proxy'] ?? null) === null
                        ? []
                        : ['proxy' => $entry['proxy']],
                    ...is_numeric($entry['rate_hz'] ?? null) ? ['rate_hz' => (float) $entry['rate_hz']] : [],
                ];
            }
        }

        return $out;
    }

    /**
     * Under which lenses it counts.
     *
     * @throws CoreException
     */
    private function counting(CodebookDocument $document, string $key): CodebookDocument
    {
        $off = $this->ticks('off');
        foreach ($document->whole()['lenses'] as $lens => $row) {
            $was = array_values(array_filter((array) ($row['off'] ?? []), is_string(...)));
            $is = in_array($lens, $off, true)
                ? array_values(array_unique([...$was, $key]))
                : array_values(array_diff($was, [$key]));
            if ($is !== $was) {
                $document = $document->with('lenses', $lens, [...$row, 'off' => $is]);
            }
        }

        return $document;
    }

    /** @return array<string, array{supported: array<mixed>|null, contradicted: array<mixed>|null}> by place */
    private function rulesSent(): array
    {
        $out = [];
        foreach ((array) $this->validated('rules') as $place => $pair) {
            $rule = static function (string $member) use ($pair): ?array {
                $json = ((array) $pair)[$member] ?? null;
                $rule = is_string($json) ? json_decode($json, true, 12) : null;

                return is_array($rule) && $rule !== [] ? $rule : null;
            };
            $out[(string) $place] = ['supported' => $rule('supported'), 'contradicted' => $rule('contradicted')];
        }

        return $out;
    }
}
