<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\Figure;
use Core\Agreement\Scale;
use Core\Agreement\Study\ItemResult;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\StudyResult;
use Core\Agreement\Study\ThreeWayResult;
use Core\Format\FormatException;
use Core\Remark\InWords;

/** What a study found: kept with codes, published with sentences beside them (docs/schemas/agreement.schema.json). */
final readonly class StudyJson
{
    /** @param  \Closure(Figure): array<string, mixed>  $figure */
    private function __construct(private \Closure $figure)
    {
    }

    /** For rows of the database. */
    public static function kept(): self
    {
        return new self(FigureJson::write(...));
    }

    /** For people and programs. */
    public static function published(InWords $words): self
    {
        return new self(static fn (Figure $f): array => FigureJson::publish($f, $words));
    }

    /** @return array<string, mixed> */
    public function study(StudyResult $study): array
    {
        $items = [];
        foreach ($study->items as $name => $item) {
            $items[] = ['item' => (string) $name, ...$this->item($item)];
        }

        return [
            ...$this->heading($study->scale, $study->confidence, $study->bootstrap, $study->seed),
            'items' => $items,
            'pooled' => $this->item($study->pooled),
        ];
    }

    /** @return array{scale: string, confidence: float, bootstrap: int, seed: int} what was asked for */
    public function heading(Scale $scale, float $confidence, int $bootstrap, int $seed): array
    {
        return ['scale' => $scale->value, 'confidence' => $confidence, 'bootstrap' => $bootstrap, 'seed' => $seed];
    }

    /** @return array<string, mixed> */
    public function item(ItemResult $item): array
    {
        $versus = [];
        foreach ($item->versusRest as $rater => $kappa) {
            $versus[] = ['rater' => (string) $rater, 'mean_kappa' => ($this->figure)($kappa)];
        }
        $three = $item->threeWay;

        return [
            'cases' => $item->cases,
            'raters' => $item->raters,
            'ratings' => $item->ratings,
            'categories' => $item->categories,
            'specific_agreement' => (object) $this->figures($item->specific),
            'coefficients' => $this->figures($item->coefficients),
            'pairs' => array_map($this->pair(...), $item->pairs),
            'undefined_pairs' => $item->undefinedPairs,
            'raters_vs_rest' => $versus,
            'self' => $this->raters($item->self),
            'against_key' => $this->raters($item->againstKey),
        ] +
            ($three === null
                ? []
                : [
                    'three_way' => [
                        'categories' => $three->categories,
                        'specific_agreement' => (object) $this->figures($three->specific),
                        'coefficients' => $this->figures($three->coefficients),
                    ],
                ]);
    }

    /**
     * @param  list<RaterResult>  $raters
     * @return list<array<string, mixed>>
     */
    public function raters(array $raters): array
    {
        return array_map(
            fn (RaterResult $r): array => ['rater' => $r->rater, 'n' => $r->n, ...$this->figures($r->figures)],
            $raters,
        );
    }

    /** @return array<string, mixed> */
    private function pair(PairResult $p): array
    {
        return [
            'a' => $p->a,
            'b' => $p->b,
            'n' => $p->n,
            'percent_agreement' => $p->agreement,
            'cohen_kappa' => ($this->figure)($p->kappa),
            'pabak' => ($this->figure)($p->pabak),
            'prevalence_index' => $p->prevalenceIndex,
            'bias_index' => $p->biasIndex,
            ...$this->figures($p->differences),
        ];
    }

    /**
     * @param  array<string, Figure>  $figures
     * @return array<string, array<string, mixed>>
     */
    private function figures(array $figures): array
    {
        return array_map($this->figure, $figures);
    }

    /** @throws \Core\Format\FormatException when it is not what study() makes */
    public static function read(mixed $data): StudyResult
    {
        $o = JsonObject::from($data, 'a study');
        $items = [];
        foreach ($o->objects('items') as $item) {
            $items[$item->text('item', 400)] = self::readItem($item);
        }

        return new StudyResult(
            $o->one(Scale::class, 'scale'),
            $o->number('confidence'),
            $o->whole('bootstrap'),
            $o->whole('seed'),
            $items,
            self::readItem($o->object('pooled')),
        );
    }

    /**
     * @return list<RaterResult>
     *
     * @throws FormatException
     */
    public static function readRaters(JsonObject $of, string $name): array
    {
        return array_map(
            static fn (JsonObject $r): RaterResult => new RaterResult(
                $r->text('rater', 400),
                $r->whole('n'),
                self::readFigures($r, ['rater', 'n']),
            ),
            $of->objects($name),
        );
    }

    /** @throws FormatException */
    private static function readItem(JsonObject $o): ItemResult
    {
        $versus = [];
        foreach ($o->objects('raters_vs_rest') as $r) {
            $versus[$r->text('rater', 400)] = FigureJson::read($r->object('mean_kappa')->plain());
        }
        $three = $o->optionalObject('three_way');

        return new ItemResult(
            $o->whole('cases'),
            $o->whole('raters'),
            $o->whole('ratings'),
            $o->texts('categories'),
            self::readFigures($o->object('coefficients')),
            self::readFigures($o->object('specific_agreement')),
            array_map(self::readPair(...), $o->objects('pairs')),
            $o->whole('undefined_pairs'),
            $versus,
            self::readRaters($o, 'self'),
            self::readRaters($o, 'against_key'),
            $three === null
                ? null
                : new ThreeWayResult(
                    $three->texts('categories'),
                    self::readFigures($three->object('coefficients')),
                    self::readFigures($three->object('specific_agreement')),
                ),
        );
    }

    /** @throws FormatException */
    private static function readPair(JsonObject $p): PairResult
    {
        return new PairResult(
            $p->text('a', 400),
            $p->text('b', 400),
            $p->whole('n'),
            $p->optionalNumber('percent_agreement'),
            FigureJson::read($p->object('cohen_kappa')->plain()),
            FigureJson::read($p->object('pabak')->plain()),
            $p->optionalNumber('prevalence_index'),
            $p->optionalNumber('bias_index'),
            self::readFigures($p, [
                'a',
                'b',
                'n',
                'percent_agreement',
                'cohen_kappa',
                'pabak',
                'prevalence_index',
                'bias_index',
            ]),
        );
    }

    /**
     * @param  list<string>  $except  members that are no figures
     * @return array<string, Figure>
     *
     * @throws FormatException
     */
    private static function readFigures(JsonObject $of, array $except = []): array
    {
        $out = [];
        foreach (array_diff($of->names(), $except) as $name) {
            $out[$name] = FigureJson::read($of->object($name)->plain());
        }

        return $out;
    }
}
