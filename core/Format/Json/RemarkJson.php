<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Format\FormatException;
use Core\Remark\Remark;

/** Remarks as {"code", "with"}; a text is what was stored before there were codes. */
final class RemarkJson
{
    /** @return array{code: string, with?: array<string, mixed>} */
    public static function write(Remark $remark): array
    {
        return ['code' => $remark->code] +
            ($remark->with === [] ? [] : ['with' => array_map(self::plain(...), $remark->with)]);
    }

    /** @return array{code: string, with?: array<string, mixed>}|null */
    public static function orNull(?Remark $remark): ?array
    {
        return $remark === null ? null : self::write($remark);
    }

    /** @throws \Core\Format\FormatException when it is no remark */
    public static function read(mixed $data): Remark
    {
        if (is_string($data)) {
            return Remark::wordedThen($data);
        }
        $object = JsonObject::from($data, 'a remark');
        $with = [];
        foreach ($object->optionalObject('with')?->plain() ?? [] as $name => $value) {
            $with[(string) $name] = self::parameter($object, (string) $name, $value);
        }

        return new Remark($object->text('code'), $with);
    }

    /** @throws FormatException */
    public static function readOrNull(mixed $data): ?Remark
    {
        return $data === null ? null : self::read($data);
    }

    private static function plain(mixed $value): mixed
    {
        return match (true) {
            $value instanceof Remark => self::write($value),
            is_array($value) => array_map(self::plain(...), $value),
            default => $value,
        };
    }

    /**
     * @return string|int|float|list<string>|Remark|list<Remark>
     *
     * @throws FormatException
     */
    private static function parameter(JsonObject $of, string $name, mixed $value): string|int|float|array|Remark
    {
        if (is_array($value) && array_is_list($value)) {
            return $value === [] || is_string($value[0])
                ? JsonObject::from(['of' => $value], 'a remark')->texts('of')
                : array_map(self::read(...), $value);
        }

        return match (true) {
            is_array($value) => self::read($value),
            is_string($value), is_int($value), is_float($value) => $value,
            default => throw $of->wrong($name, 'no-parameter'),
        };
    }
}
