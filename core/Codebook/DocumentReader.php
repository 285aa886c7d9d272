<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measure;

/** Takes typed members out of codebook data; every error names the thing and its member. */
final readonly class DocumentReader
{
    private const LONGEST = 600;

    /** @param  'fault'|'lens'|'drill'|'cue'|'word'  $what  what is read, as errors name it */
    public function __construct(private string $what, private string $key)
    {
    }

    /**
     * @param  array<mixed>  $row
     *
     * @throws CoreException
     */
    public function text(array $row, string $name): string
    {
        $value = $row[$name] ?? null;
        if (! is_string($value) || $value === '' || mb_strlen($value) > self::LONGEST) {
            throw $this->refuse('needs-text', $name, most: self::LONGEST);
        }

        return $value;
    }

    /**
     * @param  array<mixed>  $row
     * @return string empty where it is not there
     *
     * @throws CoreException
     */
    public function optionalText(array $row, string $name): string
    {
        return in_array($row[$name] ?? '', [null, ''], true) ? '' : $this->text($row, $name);
    }

    /**
     * @param  array<mixed>  $row
     * @return list<string>
     *
     * @throws CoreException
     */
    public function texts(array $row, string $name): array
    {
        $value = $row[$name] ?? [];
        if (! is_array($value) || array_filter($value, is_string(...)) !== $value) {
            throw $this->refuse('must-be-texts', $name);
        }

        return array_values($value);
    }

    /**
     * @param  array<mixed>  $row
     * @return array<mixed>
     *
     * @throws CoreException
     */
    public function map(array $row, string $name): array
    {
        $value = $row[$name] ?? [];

        return is_array($value) ? $value : throw $this->refuse('must-be-object', $name);
    }

    /**
     * @param  array<mixed>  $row
     * @return list<array<mixed>>
     *
     * @throws CoreException
     */
    public function list(array $row, string $name): array
    {
        $value = $row[$name] ?? null;
        if (! is_array($value) || $value === [] || array_filter($value, is_array(...)) !== $value) {
            throw $this->refuse('needs-objects', $name);
        }

        return array_values($value);
    }

    /**
     * @param  array<mixed>  $row
     *
     * @throws CoreException
     */
    public function rule(array $row, string $name): Rule
    {
        $value = $row[$name] ?? null;
        try {
            return Rule::from(is_array($value) ? $value : throw CodebookException::because('needs-rule', name: $name));
        } catch (CoreException $e) {
            throw $this->refuse('member', $name, why: $e);
        }
    }

    /**
     * @param  array<mixed>  $rows
     * @return array<string, array{float, float}>
     *
     * @throws CoreException
     */
    public function bands(array $rows): array
    {
        $out = [];
        foreach ($rows as $name => $ends) {
            $key = explode('@', (string) $name)[0];
            if (Measure::tryFrom($key) === null) {
                throw $this->refuse('band-of-none', (string) $name);
            }
            [$low, $high] = is_array($ends) ? array_pad(array_values($ends), 2, null) : [null, null];
            if (! (is_int($low) || is_float($low)) || ! (is_int($high) || is_float($high)) || $low >= $high) {
                throw $this->refuse('band', (string) $name);
            }
            $out[(string) $name] = [(float) $low, (float) $high];
        }

        return $out;
    }

    /** The error that names the thing and its member. */
    public function refuse(string $code, string $name, string|int|CoreException ...$about): CodebookException
    {
        return CodebookException::because($code, ...[
            'what' => $this->what,
            'key' => $this->key,
            'name' => $name,
            ...$about,
        ]);
    }
}
