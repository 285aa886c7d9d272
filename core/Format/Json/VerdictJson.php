<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Codebook\FaultVerdict;
use Core\Codebook\Observability;
use Core\Remark\InWords;

/** A fault's verdict in one swing, and how well the fault can be seen there. */
final class VerdictJson
{
    /** @return array<string, mixed> */
    public static function write(FaultVerdict $verdict): array
    {
        return [
            'observability' => $verdict->observability->value,
            'proxy' => RemarkJson::orNull($verdict->proxy),
            ...JudgementJson::write($verdict->judgement),
        ];
    }

    /** @throws \Core\Format\FormatException when it is not what write() makes */
    public static function read(mixed $data): FaultVerdict
    {
        $o = JsonObject::from($data, 'a verdict');

        return new FaultVerdict(
            $o->one(Observability::class, 'observability'),
            RemarkJson::readOrNull($o->plain()['proxy'] ?? null),
            JudgementJson::read($data),
        );
    }

    /** @return array<string, mixed> as trace:measure prints it */
    public static function publish(FaultVerdict $verdict, string $fault, InWords $words): array
    {
        $j = $verdict->judgement;

        return [
            'observability' => $verdict->observability->value,
            'proxy' => $verdict->proxy === null ? null : $words->say($verdict->proxy),
            'verdict' => $verdict->said()->value,
            'margin' => $j->margin === null ? null : round($j->margin, 3),
            'chance_wrong' => $j->chanceWrong() === null ? null : round($j->chanceWrong(), 4),
            'sentence' => $words->say($j->why, ['fault' => $fault]),
            'code' => RemarkJson::write($j->why),
            'deciding' => array_map(JudgementJson::condition(...), $j->deciding),
        ];
    }
}
