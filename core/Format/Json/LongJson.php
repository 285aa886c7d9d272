<?php

declare(strict_types=1);

namespace Core\Format\Json;

/**
 * One object as pretty JSON, piece by piece, so that what is large need not be held whole: a member that is a generator
 * is a list whose elements are made as they are written. Byte for byte what json_encode() makes of the same at once.
 */
final class LongJson
{
    private const FLAGS = JSON_PRETTY_PRINT |
        JSON_UNESCAPED_SLASHES |
        JSON_UNESCAPED_UNICODE |
        JSON_PRESERVE_ZERO_FRACTION |
        JSON_THROW_ON_ERROR;

    private const INDENT = '    ';

    /**
     * @param  iterable<string, mixed>  $members  at least one
     * @return \Generator<string>
     */
    public static function pieces(iterable $members): \Generator
    {
        $before = '{';
        foreach ($members as $name => $member) {
            yield "$before\n".self::INDENT.json_encode((string) $name, self::FLAGS).': ';
            if ($member instanceof \Generator) {
                yield from self::list($member);
            } else {
                yield self::indented($member, 1);
            }
            $before = ',';
        }
        yield "\n}";
    }

    /** @return \Generator<string> */
    private static function list(\Generator $elements): \Generator
    {
        $before = '[';
        foreach ($elements as $element) {
            yield "$before\n".str_repeat(self::INDENT, 2).self::indented($element, 2);
            $before = ',';
        }
        yield $before === '[' ? '[]' : "\n".self::INDENT.']';
    }

    private static function indented(mixed $value, int $depth): string
    {
        // A line break within a text is written as \n, so every break is one of the layout.
        return str_replace("\n", "\n".str_repeat(self::INDENT, $depth), json_encode($value, self::FLAGS));
    }
}
