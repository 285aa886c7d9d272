<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\CoreException;
use Core\Training\Bar;
use Core\Training\BarKind;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Core\Training\ReadinessRule;
use Core\Training\TrainingException;

/** A rule of readiness, as it is kept: {"criteria": [...], "bars": {KIND: {"limit", "of"}}, "months"}. */
final class ReadinessJson
{
    /**
     * @return array{criteria: list<array<string, mixed>>, bars: array<string, array{limit: float, of: int}>,
     *     months: int}
     */
    public static function write(ReadinessRule $rule): array
    {
        return [
            'criteria' => array_map(static fn (Criterion $c): array => [
                'name' => $c->name,
                'faults' => $c->faults,
                'kind' => $c->kind->value,
                'bar' => $c->bar,
                'good' => $c->good,
            ], $rule->criteria),
            'bars' => array_map(static fn (Bar $b): array => ['limit' => $b->limit, 'of' => $b->of], $rule->bars),
            'months' => $rule->months,
        ];
    }

    /** @throws CoreException where it is none */
    public static function read(mixed $data): ReadinessRule
    {
        $o = JsonObject::from($data, 'rule');
        $criteria = array_map(static fn (JsonObject $c): Criterion => new Criterion(
            $c->text('name', 60),
            $c->texts('faults'),
            CriterionKind::tryFrom($c->text('kind', 20)) ?? throw TrainingException::because('rule'),
            $c->number('bar'),
            $c->number('good'),
        ), $o->objects('criteria'));
        $bars = [];
        $given = $o->object('bars');
        foreach (BarKind::cases() as $kind) {
            $bar = $given->optionalObject($kind->value);
            if ($bar !== null) {
                $bars[$kind->value] = new Bar($kind, $bar->number('limit'), $bar->whole('of'));
            }
        }

        return new ReadinessRule(self::some($criteria), $bars, $o->whole('months'));
    }

    /**
     * @template T
     *
     * @param  list<T>  $list
     * @return non-empty-list<T>
     *
     * @throws CoreException
     */
    private static function some(array $list): array
    {
        return $list === [] ? throw TrainingException::because('rule') : $list;
    }
}
