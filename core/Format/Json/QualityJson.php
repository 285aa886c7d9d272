<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Measurement\QualityNote;
use Core\Remark\InWords;
use Core\Trace\QualityFinding;
use Core\Trace\Signal;

/** What is wrong with a recording, with the measures it touches. */
final class QualityJson
{
    /** @return array<string, mixed> */
    public static function write(QualityNote $note): array
    {
        $f = $note->finding;

        return [
            'kind' => $f->kind,
            'severity' => $f->severity,
            'what' => RemarkJson::write($f->remark),
            'effect' => $f->effect,
            'from_s' => $f->span[0] ?? null,
            'to_s' => $f->span[1] ?? null,
            'signals' => self::signals($f),
            'widening' => $f->widening,
            'timings_only' => $f->timingsOnly,
            'measurements' => $note->measures,
        ];
    }

    /** @throws \Core\Format\FormatException when it is not what write() makes */
    public static function read(mixed $data): QualityNote
    {
        $o = JsonObject::from($data, 'a finding');
        $severity = $o->text('severity');
        $effect = $o->text('effect');

        return new QualityNote(
            new QualityFinding(
                $o->text('kind'),
                in_array($severity, QualityFinding::SEVERITIES, true)
                    ? $severity
                    : throw $o->wrong('severity', 'unknown'),
                RemarkJson::read($o->plain()['what'] ?? null),
                in_array($effect, QualityFinding::EFFECTS, true) ? $effect : throw $o->wrong('effect', 'unknown'),
                array_map(
                    static fn (string $s): Signal => Signal::tryFrom($s) ??
                        throw $o->wrong('signals', 'unknown-name'),
                    $o->texts('signals'),
                ),
                $o->has('from_s') ? [$o->number('from_s'), $o->number('to_s')] : null,
                $o->number('widening'),
                $o->isTrue('timings_only'),
            ),
            $o->texts('measurements'),
        );
    }

    /** @return array<string, mixed> as trace:measure prints it */
    public static function publish(QualityNote $note, InWords $words): array
    {
        $f = $note->finding;

        return [
            'kind' => $f->kind,
            'severity' => $f->severity,
            'sentence' => $words->say($f->remark),
            'code' => RemarkJson::write($f->remark),
            'effect' => $f->effect,
            'from_s' => $f->span === null ? null : round($f->span[0], 4),
            'to_s' => $f->span === null ? null : round($f->span[1], 4),
            'signals' => self::signals($f),
            'measurements' => $note->measures,
        ];
    }

    /** @return list<string> */
    private static function signals(QualityFinding $f): array
    {
        return array_map(static fn (Signal $s): string => $s->value, $f->signals);
    }
}
