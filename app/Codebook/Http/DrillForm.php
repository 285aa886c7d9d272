<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\DraftForm;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Rung;
use Core\CoreException;
use Illuminate\Validation\Rule;

/** A drill: how it is done and prescribed, what of a body it loads, and the faults it helps with or makes worse. */
final class DrillForm extends DraftForm
{
    private const PLAN = ['dose', 'check', 'pass', 'stop', 'from', 'to', 'ball', 'feels'];

    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            ...array_fill_keys(['for', 'not', 'set_up', 'far', 'caution'], self::TEXT),
            ...self::lined('steps'),
            'expected' => ['nullable', 'array', 'max:60'],
            'expected.*' => ['nullable', 'string', 'max:120'],
            'new_expected.measure' => ['nullable', 'string', 'max:40'],
            'new_expected.says' => ['required_with:new_expected.measure', 'nullable', 'string', 'max:120'],
            'harms' => ['nullable', 'boolean'],
            'plan' => ['nullable', 'array'],
            ...array_fill_keys(array_map(static fn (string $n): string => "plan.$n", self::PLAN), self::TEXT),
            'plan.from' => ['nullable', Rule::enum(Rung::class)],
            'plan.to' => ['nullable', Rule::enum(Rung::class)],
            'variants' => ['nullable', 'array', 'max:20'],
            'variants.*.used' => ['nullable', 'boolean'],
            'variants.*.says' => self::TEXT,
            ...self::ticked('loads'),
            ...self::ticked('helped'),
            ...self::ticked('harmed'),
        ];
    }

    public function onto(CodebookDocument $document, string $key): CodebookDocument
    {
        $row = $this->worded(
            self::row($document, 'drills', $key),
            ['name', 'for', 'not', 'set_up', 'far'],
            ['caution'],
        );
        $row['steps'] = $this->lines('steps');
        $row['expected'] = $this->expected();
        $row['harms'] = $this->boolean('harms');
        if ($row['harms']) {
            unset($row['plan']);
        } else {
            unset($row['harms']);
            $row['plan'] = $this->plan((array) ($row['plan'] ?? []));
        }

        return $this->linked($document->with('drills', $key, $row), $key);
    }

    /** @return array<string, string> by measure */
    private function expected(): array
    {
        $out = array_filter(
            (array) $this->validated('expected'),
            static fn (mixed $says): bool => is_string($says) && trim($says) !== '',
        );
        $new = (array) $this->validated('new_expected');
        if (is_string($new['measure'] ?? null) && is_string($new['says'] ?? null) && $new['measure'] !== '') {
            $out[$new['measure']] = $new['says'];
        }

        /** @var array<string, string> $out */
        return $out;
    }

    /**
     * @param  array<mixed>  $was
     * @return array<string, mixed>
     */
    private function plan(array $was): array
    {
        $plan = [];
        foreach (self::PLAN as $name) {
            $plan[$name] = $this->text("plan.$name");
        }
        $plan['lenses'] = [];
        foreach ((array) $this->validated('variants') as $lens => $of) {
            $says = ((array) $of)['says'] ?? null;
            if (is_string($says) && trim($says) !== '') {
                $plan['lenses'][(string) $lens] = [
                    'used' => (bool) (((array) $of)['used'] ?? false),
                    'says' => trim($says),
                ];
            }
        }
        $plan['loads'] = array_map(static function (string $load): array {
            [$region, $side] = array_pad(explode('/', $load, 2), 2, '');

            return ['region' => $region, ...$side === '' ? [] : ['side' => $side]];
        }, $this->ticks('loads', array_map(static fn (mixed $load): string => implode('/', array_filter(
            array_intersect_key((array) $load, ['region' => 1, 'side' => 1]),
            is_string(...),
        )), array_values((array) ($was['loads'] ?? [])))));

        return $plan;
    }

    /**
     * The faults it helps with and makes worse: the links are one thing, said with either.
     *
     * @throws CoreException
     */
    private function linked(CodebookDocument $document, string $key): CodebookDocument
    {
        foreach (['helps' => $this->ticks('helped'), 'harms' => $this->ticks('harmed')] as $member => $faults) {
            foreach ($document->whole()['faults'] as $fault => $row) {
                $was = array_values(array_filter((array) ($row[$member] ?? []), is_string(...)));
                $is = in_array($fault, $faults, true)
                    ? array_values(array_unique([...$was, $key]))
                    : array_values(array_diff($was, [$key]));
                if ($is !== $was) {
                    $document = $document->with('faults', $fault, [...$row, $member => $is]);
                    $row[$member] = $is;
                }
            }
        }

        return $document;
    }
}
