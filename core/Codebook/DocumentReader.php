<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measure;

/** Takes typed members out of codebook data; every error names the thing and its member. */
final readonly class DocumentReader
{
    private const LONGEST = 600;

    /** @param  string  $what  as errors name it: fault 'sway', lens 'loaded-top' */
    public function __construct(private string $what)
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
            throw new CoreException("The {$this->what} needs '$name', a text of at most ".self::LONGEST.' letters.');
        }

        return $value;
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
            throw new CoreException("In the {$this->what}, '$name' must be a list of texts.");
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

        return is_array($value) ? $value : throw new CoreException("In the {$this->what}, '$name' must be an object.");
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
            throw new CoreException("The {$this->what} needs '$name', a list of objects.");
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
            return Rule::from(is_array($value) ? $value : throw new CoreException("it needs '$name', a rule"));
        } catch (CoreException $e) {
            throw new CoreException("The {$this->what}, '$name': ".lcfirst($e->getMessage()));
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
                throw new CoreException("The {$this->what} has a band for '$name', which is no measurement.");
            }
            [$low, $high] = is_array($ends) ? array_pad(array_values($ends), 2, null) : [null, null];
            if (! (is_int($low) || is_float($low)) || ! (is_int($high) || is_float($high)) || $low >= $high) {
                throw new CoreException(
                    "The {$this->what}: the band of '$name' must be [low, high] with low below high.",
                );
            }
            $out[(string) $name] = [(float) $low, (float) $high];
        }

        return $out;
    }
}
