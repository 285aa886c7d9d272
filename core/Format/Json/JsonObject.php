<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Format\FormatException;

/**
 * One object of a JSON document: its members with their types, or one sentence that names the member which is wrong.
 */
final readonly class JsonObject
{
    /** @param  array<mixed>  $data */
    private function __construct(private array $data, private string $where, private string $path = '')
    {
    }

    /**
     * @param  string  $file  as errors name it
     *
     * @throws FormatException when it is not JSON, or no object
     */
    public static function parse(string $json, string $file, int $depth = 24): self
    {
        try {
            $data = json_decode($json, true, max(1, $depth), JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw FormatException::in($file, 'not-json', error: lcfirst($e->getMessage()));
        }

        return is_array($data) && ($data === [] || ! array_is_list($data))
            ? new self($data, $file)
            : throw FormatException::in($file, 'one-object');
    }

    /**
     * Of what was decoded already: a row of the database, a part of a request.
     *
     * @throws FormatException when it is no object
     */
    public static function from(mixed $data, string $where): self
    {
        return is_array($data) ? new self($data, $where) : throw FormatException::in($where, 'object-missing');
    }

    public function has(string $name): bool
    {
        return ($this->data[$name] ?? null) !== null;
    }

    public function isEmpty(): bool
    {
        return $this->data === [];
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->data));
    }

    /** @return array<mixed> */
    public function plain(): array
    {
        return $this->data;
    }

    /** @throws FormatException */
    public function text(string $name, int $most = 120): string
    {
        $value = $this->data[$name] ?? null;

        return is_string($value) && mb_strlen($value) <= $most
            ? $value
            : throw $this->wrong($name, $most > 120 ? 'must-be-text' : 'must-be-short-text');
    }

    /** @throws FormatException */
    public function optionalText(string $name, int $most = 120): ?string
    {
        return $this->has($name) ? $this->text($name, $most) : null;
    }

    /** @throws FormatException */
    public function number(string $name): float
    {
        $value = $this->data[$name] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : throw $this->wrong($name, 'must-be-number');
    }

    /** @throws FormatException */
    public function optionalNumber(string $name): ?float
    {
        return $this->has($name) ? $this->number($name) : null;
    }

    /** @throws FormatException */
    public function whole(string $name): int
    {
        $value = $this->data[$name] ?? null;

        return is_int($value) ? $value : throw $this->wrong($name, 'must-be-whole');
    }

    public function isTrue(string $name): bool
    {
        return ($this->data[$name] ?? false) === true;
    }

    /** @throws FormatException */
    public function object(string $name): self
    {
        $value = $this->data[$name] ?? null;

        return is_array($value)
            ? new self($value, $this->where, $this->pathTo($name))
            : throw $this->wrong($name, 'must-be-object');
    }

    /** @throws FormatException */
    public function optionalObject(string $name): ?self
    {
        return $this->has($name) ? $this->object($name) : null;
    }

    /**
     * @return list<self> none where the member is absent
     *
     * @throws FormatException
     */
    public function objects(string $name): array
    {
        $value = $this->data[$name] ?? [];
        if (! is_array($value) || ! array_is_list($value)) {
            throw $this->wrong($name, 'must-be-list');
        }

        return array_map(
            fn (mixed $one): self => is_array($one)
                ? new self($one, $this->where, $this->pathTo($name))
                : throw $this->wrong($name, 'must-be-objects'),
            $value,
        );
    }

    /**
     * @return array<string, self> the members of this object, which are objects
     *
     * @throws FormatException
     */
    public function members(): array
    {
        $out = [];
        foreach ($this->names() as $name) {
            $out[$name] = $this->object($name);
        }

        return $out;
    }

    /**
     * @return list<string> none where the member is absent
     *
     * @throws FormatException
     */
    public function texts(string $name): array
    {
        $out = [];
        foreach (is_array($this->data[$name] ?? []) ? $this->data[$name] ?? [] : [null] as $one) {
            $out[] = is_string($one) ? $one : throw $this->wrong($name, 'must-be-texts');
        }

        return $out;
    }

    /**
     * @return list<float> missing ones (null) as NAN
     *
     * @throws FormatException
     */
    public function numbers(string $name, int $most): array
    {
        $value = $this->data[$name] ?? null;
        if (! is_array($value) || ! array_is_list($value) || count($value) > $most) {
            throw $this->wrong($name, 'must-be-numbers', most: number_format($most));
        }

        return array_map(fn (mixed $v): float => match (true) {
            $v === null => NAN,
            is_int($v), is_float($v) => (float) $v,
            default => throw $this->wrong($name, 'holds-no-number'),
        }, $value);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws FormatException
     */
    public function one(string $enum, string $name): \BackedEnum
    {
        $value = $this->data[$name] ?? null;
        $values = array_column($enum::cases(), 'value');

        return (is_string($value) || is_int($value) ? $enum::tryFrom($value) : null) ??
            throw $this->wrong(
                $name,
                is_string($value) ? 'is-not-among' : 'must-be-among',
                value: is_string($value) ? FormatException::short($value) : '',
                all: implode(', ', array_slice($values, 0, -1)),
                last: (string) end($values),
            );
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     *
     * @throws FormatException
     */
    public function optionalOne(string $enum, string $name): ?\BackedEnum
    {
        return $this->has($name) ? $this->one($enum, $name) : null;
    }

    /** The error that names a member and what is wrong with it. */
    public function wrong(string $name, string $why, string|int ...$about): FormatException
    {
        return FormatException::in(
            $this->where,
            FormatException::because(
                'member',
                member: $this->pathTo($name),
                why: FormatException::because($why, ...$about),
            ),
        );
    }

    private function pathTo(string $name): string
    {
        return ($this->path === '' ? '' : $this->path.' ').FormatException::short($name);
    }
}
