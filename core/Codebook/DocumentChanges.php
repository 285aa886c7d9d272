<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Number\Written;
use Core\Remark\Remark;

/** Two codebook documents compared member by member, in the order of the newer one; what is gone comes last. */
final class DocumentChanges
{
    private const RULES = ['supported', 'contradicted'];

    /**
     * @return list<DocumentChange>
     *
     * @throws CoreException where a rule cannot be read
     */
    public static function between(CodebookDocument $was, CodebookDocument $is): array
    {
        [$then, $now] = [$was->whole(), $is->whole()];
        $out = [];
        foreach (CodebookDocument::PARTS as $part) {
            foreach ($now[$part] + $then[$part] as $key => $_) {
                array_push(
                    $out,
                    ...self::ofRow($part, (string) $key, $then[$part][$key] ?? null, $now[$part][$key] ?? null),
                );
            }
        }

        return $out;
    }

    /**
     * @param  'faults'|'lenses'|'drills'|'words'|'cues'  $part
     * @param  array<mixed>|null  $was
     * @param  array<mixed>|null  $is
     * @return list<DocumentChange>
     *
     * @throws CoreException
     */
    private static function ofRow(string $part, string $key, ?array $was, ?array $is): array
    {
        $row = $is ?? $was ?? [];
        $name = $row['name'] ?? $row['word'] ?? (array) ($row['said'] ?? [$key]);
        $name = is_array($name) ? $name[array_key_first($name)] ?? $key : $name;
        $name = is_string($name) ? $name : $key;
        if ($was === null || $is === null) {
            return [
                new DocumentChange($part, $key, $name, [], $was === null ? null : $name, $is === null ? null : $name),
            ];
        }
        [$then, $now] = [self::leaves($was), self::leaves($is)];
        $out = [];
        foreach ($now + $then as $path => $_) {
            if (json_encode($then[$path] ?? null) !== json_encode($now[$path] ?? null)) {
                $member = explode("\t", (string) $path);
                $out[] = new DocumentChange(
                    $part,
                    $key,
                    $name,
                    $member,
                    self::said($member, $then[$path] ?? null),
                    self::said($member, $now[$path] ?? null),
                );
            }
        }

        return $out;
    }

    /**
     * @param  array<mixed>  $row
     * @return array<string, mixed> rules, bands and lists whole, by the way to them
     */
    private static function leaves(array $row, string $before = ''): array
    {
        $out = [];
        foreach ($row as $name => $value) {
            $path = $before === '' ? (string) $name : "$before\t$name";
            if (is_array($value) && ! array_is_list($value)) {
                $out += self::leaves($value, $path);
            } elseif (is_array($value) && $value !== [] && array_filter($value, is_array(...)) === $value) {
                $out += self::leaves(self::byName(array_values($value)), $path);
            } elseif ($value !== [] && $value !== null && $value !== '') {
                $out[$path] = $value;
            }
        }

        return $out;
    }

    /**
     * A list of objects by what tells each from the others, so that one put between two is no change of all behind it.
     *
     * @param  list<array<mixed>>  $list
     * @return array<string, array<mixed>>
     */
    private static function byName(array $list): array
    {
        $out = [];
        foreach ($list as $i => $one) {
            $needs = $one['needs']
                ?? (array_is_list($one) ? $one : array_intersect_key($one, ['region' => 1, 'side' => 1]));
            $name = implode(' + ', array_filter((array) $needs, is_string(...)));
            $out[$name === '' || isset($out[$name]) ? (string) ($i + 1) : $name] = array_is_list($one)
                ? ['is' => $one]
                : $one;
        }

        return $out;
    }

    /**
     * @param  list<string>  $member
     *
     * @throws CoreException
     */
    private static function said(array $member, mixed $value): Remark|string|null
    {
        if (is_array($value) && in_array(end($member), self::RULES, true)) {
            return Rule::from($value)->remark();
        }
        if (is_array($value)) {
            $isBand = count($value) === 2
                && array_filter($value, static fn ($v): bool => is_int($v) || is_float($v)) === $value;

            return implode($isBand ? ' … ' : ' · ', array_map(self::written(...), $value));
        }

        return $value === null ? null : self::written($value);
    }

    private static function written(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? '✓' : '–',
            is_int($value), is_float($value) => Written::set((float) $value),
            is_string($value) => $value,
            default => (string) json_encode($value, JSON_UNESCAPED_UNICODE),
        };
    }
}
