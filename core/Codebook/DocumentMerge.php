<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;

/** What was changed in one document since another, put into a third: a draft whose ground has moved. */
final class DocumentMerge
{
    /**
     * Row by row: what the draft did not touch is as the newest has it; what both changed is as the draft has it.
     *
     * @param  CodebookDocument  $base  what the draft was begun from
     *
     * @throws CoreException where what was changed does not stand with what is new
     */
    public static function onto(
        CodebookDocument $newest,
        CodebookDocument $base,
        CodebookDocument $draft,
    ): CodebookDocument {
        [$from, $to, $out] = [$base->whole(), $draft->whole(), $newest->whole()];
        foreach (CodebookDocument::PARTS as $part) {
            foreach ($to[$part] as $key => $row) {
                if (! self::same($row, $from[$part][$key] ?? null)) {
                    $out[$part][$key] = $row;
                }
            }
            foreach (array_diff_key($from[$part], $to[$part]) as $key => $_) {
                unset($out[$part][$key]);
            }
        }

        return CodebookDocument::fromArray([...$out, 'version' => $draft->version()]);
    }

    /**
     * @return list<array{"faults"|"lenses"|"drills"|"words"|"cues", string}> part and key of what both changed, each in
     *     a way of its own
     */
    public static function contested(CodebookDocument $newest, CodebookDocument $base, CodebookDocument $draft): array
    {
        [$from, $to, $now] = [$base->whole(), $draft->whole(), $newest->whole()];
        $out = [];
        foreach (CodebookDocument::PARTS as $part) {
            foreach ($from[$part] + $to[$part] + $now[$part] as $key => $_) {
                [$was, $mine, $theirs] = [
                    $from[$part][$key] ?? null, $to[$part][$key] ?? null, $now[$part][$key] ?? null,
                ];
                if (! self::same($was, $mine) && ! self::same($was, $theirs) && ! self::same($mine, $theirs)) {
                    $out[] = [$part, (string) $key];
                }
            }
        }

        return $out;
    }

    private static function same(mixed $one, mixed $other): bool
    {
        return json_encode($one) === json_encode($other);
    }
}
