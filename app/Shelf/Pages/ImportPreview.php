<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Words\Term;
use App\Words\Wording;
use Core\Drawing\TracePreview;
use Core\Format\ImportedRecording;
use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Measured;
use Core\Measurement\Occasion;
use Core\Measurement\QualityNote;
use Core\Motion\Station;
use Core\Motion\StationFinder;
use Core\Motion\StationTimes;
use Core\Number\Written;
use Core\Remark\Remark;
use Core\Trace\QualityFinding;
use Core\Trace\Repair;
use Core\Trace\Series;
use Core\Trace\Trace;

/** A file as it was understood: the trace drawn with its stations, what can be measured, what is wrong with it. */
final readonly class ImportPreview
{
    public function __construct(private Wording $words)
    {
    }

    /** @return array<string, mixed> */
    public function of(ImportedRecording $in): array
    {
        $found = $in->stations === null ? StationFinder::find($in->views, $in->trace) : null;
        $stations = $in->stations ?? $found->times ?? StationTimes::fromTimes([]);
        $assessment = Assessment::ofEvidence(new Evidence($stations, $in->trace, $in->views, $in->trace->stance));
        [$name, $curve] = self::curve($in->trace);
        $from = max($in->trace->t0, ($stations->t(Station::Address) ?? $in->trace->t0) - 0.5);
        $to = min($curve->end(), ($stations->t(Station::Finish) ?? $curve->end()) + 0.4);
        $all = $assessment->measurements->all();

        return [
            'chart' => TracePreview::drawn($curve, $from, $to, $stations->all(), self::spans($assessment)),
            'stretch' => (string) __('import.stretch', [
                'curve' => ucfirst((string) __("import.curve.$name")),
                'from' => Written::fixed($from, 1),
                'to' => Written::fixed($to, 1),
            ]),
            'facts' => self::facts($in),
            'stations' => $this->stations($stations, $found->doubts ?? []),
            'proposed' => ($found->doubts ?? []) !== [],
            'measured' => (string) __('import.measured-says', [
                'count' => count(array_filter(
                    $all,
                    static fn (Measured|array $m): bool => is_array($m) || $m->value !== null,
                )),
                'of' => count($all),
            ]),
            'quality' => array_map(fn (QualityNote $note): array => [
                'says' => $this->words->said($note->finding->remark),
                'effect' => trans_choice("import.effects.{$note->finding->effect}", count($note->measures), [
                    'count' => count($note->measures),
                ]),
                'repair' => Repair::of($note->finding->remark, $in->trace->device)?->kind->value,
                'cut' => $note->finding->kind === Occasion::SEVERAL,
            ], $assessment->quality()),
            'assumed' => array_map(fn (Remark $note): string => $this->words->said($note), $in->notes),
        ];
    }

    /** @return array{'share'|'force'|'cop', Series} what there is to draw */
    private static function curve(Trace $trace): array
    {
        $share = $trace->leadShare();
        $force = $trace->totalForce();

        return match (true) {
            $share !== null => ['share', $share],
            $force !== null => ['force', $force],
            default => ['cop', $trace->cop()[0]],
        };
    }

    /** @return list<array{float, float}> where something is wrong, s */
    private static function spans(Assessment $assessment): array
    {
        return array_values(array_filter(array_map(
            static fn (QualityFinding $f): ?array => $f->span,
            $assessment->findings,
        )));
    }

    /** @return array<string, string> by name */
    private static function facts(ImportedRecording $in): array
    {
        $trace = $in->trace;
        $points = [];
        foreach ($in->views->motions as $motion) {
            $points[] = (string) __('import.points-of', [
                'view' => Term::view($motion->view),
                'count' => count($motion->points),
            ]);
        }
        $name = static fn (string $fact): string => (string) __("import.facts.$fact");

        return [
            $name('device') => (string) __('import.device-says', [
                'device' => Term::device($trace->device),
                'rate' => Written::fixed($trace->rateHz, 0),
                'length' => Written::fixed($trace->duration(), 2),
            ]),
            $name('points') => $points === [] ? (string) __('import.none') : implode(', ', $points),
            $name('mass') => (string) ($trace->massKg === null
                ? __('import.not-known')
                : __('import.mass-says', ['mass' => Written::fixed($trace->massKg, 1)])),
            $name('stance') => (string) ($trace->stance === null
                ? __('import.not-known')
                : __('import.stance-says', ['width' => Written::fixed($trace->stance->widthMm() / 10.0, 0)])),
        ];
    }

    /**
     * @param  array<string, \Core\Remark\Remark>  $doubts  by station code
     * @return list<array{says: string, doubt: ?string}>
     */
    private function stations(StationTimes $stations, array $doubts): array
    {
        $out = [];
        foreach ($stations->all() as $code => $station) {
            $out[] = [
                'says' => "$code ".Written::fixed($station->t, 2),
                'doubt' => isset($doubts[$code]) ? $this->words->phrase($doubts[$code]) : null,
            ];
        }

        return $out;
    }
}
