<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Profile\FacetEffect;
use Core\Agreement\Profile\FacetModel;
use Core\Agreement\Profile\RoundsOnScale;
use Core\Format\FormatException;

/** A many-facet model as it is kept. */
final class FacetJson
{
    /** @return array<string, mixed> */
    public static function write(FacetModel $m): array
    {
        return [
            'mean' => $m->mean,
            'se' => $m->meanSe,
            'deviance' => $m->deviance,
            'parts' => $m->parts,
            'facets' => array_map(static fn (string $name, array $effects): array => [
                'name' => $name,
                'sd' => $m->sd[$name],
                'levels' => array_map(static fn (FacetEffect $e): array => [
                    'name' => $e->name,
                    'estimate' => $e->estimate,
                    'se' => $e->se,
                    'se_with_mean' => $e->seWithMean,
                    'n' => $e->n,
                    'infit' => $e->infit,
                    'outfit' => $e->outfit,
                ], array_values($effects)),
            ], array_keys($m->facets), $m->facets),
        ];
    }

    /** @throws FormatException when it is not what write() makes */
    public static function read(mixed $data): FacetModel
    {
        $o = JsonObject::from($data, 'a round’s scale');
        $sd = $facets = [];
        foreach ($o->objects('facets') as $facet) {
            $name = $facet->text('name');
            $sd[$name] = $facet->number('sd');
            $facets[$name] = [];
            foreach ($facet->objects('levels') as $e) {
                $level = $e->text('name', 400);
                $facets[$name][$level] = new FacetEffect(
                    $level,
                    $e->number('estimate'),
                    $e->number('se'),
                    $e->number('se_with_mean'),
                    $e->whole('n'),
                    $e->number('infit'),
                    $e->number('outfit'),
                );
            }
        }

        return new FacetModel($o->number('mean'), $o->number('se'), $sd, $facets, $o->number('deviance'), $o
            ->whole('parts'));
    }

    /** @return array<string, mixed> */
    public static function writeRounds(RoundsOnScale $r): array
    {
        return [
            'difference' => $r->difference,
            'se' => $r->se,
            'first' => $r->first,
            'second' => $r->second,
            'parts' => $r->parts,
            'calls' => $r->calls,
            'misfit' => $r->misfit,
        ];
    }

    /** @throws FormatException when it is not what writeRounds() makes */
    public static function readRounds(?JsonObject $o): ?RoundsOnScale
    {
        return $o === null ? null : new RoundsOnScale(
            $o->number('difference'),
            $o->number('se'),
            $o->number('first'),
            $o->number('second'),
            $o->whole('parts'),
            $o->whole('calls'),
            $o->number('misfit'),
        );
    }
}
