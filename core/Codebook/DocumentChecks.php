<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Remark\Remark;

/**
 * What a codebook must pass before it holds, beyond being readable: no value inside its band supports a fault, no
 * values support and deny one at once, each can be both supported and denied where it is called observable, no drill
 * both helps and harms, every drill has its plan and a variant or a refusal under each lens.
 */
final readonly class DocumentChecks
{
    /**
     * @return list<Remark> of Defect; none where it passes
     *
     * @throws CoreException where it cannot be read
     */
    public static function of(CodebookDocument $document): array
    {
        $found = [...self::ofDrills($document), ...self::ofCues($document)];
        foreach (array_keys($document->lenses()) as $lens) {
            foreach ([null, ...ClubGroup::cases()] as $club) {
                $codebook = $document->under($lens, $club);
                foreach ($codebook->faults as $fault) {
                    array_push($found, ...self::ofRules($fault, $codebook));
                }
            }
        }
        foreach ($document->under(array_key_first($document->lenses()) ?? '')->faults as $fault) {
            array_push($found, ...self::ofHelp($fault, $document->drills()));
        }
        $once = [];
        foreach ($found as $remark) {
            $once[(string) json_encode($remark)] ??= $remark;
        }

        return array_values($once);
    }

    /** @return list<Remark> of one fault under one lens */
    public static function ofRules(Fault $fault, Codebook $codebook): array
    {
        $found = [];
        $about = ['name' => $fault->name, 'lens' => $codebook->lens->name];
        $pairs = [[$fault->supported, $fault->contradicted, true]];
        foreach ($fault->observabilities as $entry) {
            if ($entry->supported !== null) {
                $pairs[] = [$entry->supported, $entry->contradicted, false];
            }
        }
        foreach ($pairs as [$yes, $no, $isOwn]) {
            [$supported, $denied] = self::reached($yes, $no);
            $both = self::both($yes, $no);
            $found = [
                ...$found,
                ...$supported ? [] : [Remark::of(Defect::NeverSupported, ...$about)],
                ...$denied || ! $isOwn ? [] : [Remark::of(Defect::NeverDenied, ...$about)],
                ...$both === null ? [] : [Remark::of(Defect::Both, ...[...$about, 'parts' => self::parts($both)])],
            ];
        }
        $inBand = self::supportedInBand($fault->supported, $codebook);

        return $inBand === null
            ? $found
            : [...$found, Remark::of(Defect::BandSupports, ...[...$about, 'parts' => self::parts($inBand)])];
    }

    /** @return array<string, float|string>|null values inside their bands that support it, whatever times are known */
    private static function supportedInBand(Rule $rule, Codebook $codebook): ?array
    {
        foreach (self::asked($rule) as [$asked]) {
            foreach (RuleCells::of([$asked], $codebook->lens->bands) as [$at, $measured]) {
                if ($asked->evaluate($measured) === Truth::Yes && array_filter($at, is_float(...)) !== []) {
                    return $at;
                }
            }
        }

        return null;
    }

    /** @return array<string, float|string>|null values that support and contradict at once, whatever times are known */
    private static function both(Rule $yes, ?Rule $no): ?array
    {
        foreach ($no === null ? [] : self::asked($yes, $no) as [$is, $not]) {
            foreach (RuleCells::of([$is, $not]) as [$at, $measured]) {
                if ($is->evaluate($measured) === Truth::Yes && $not->evaluate($measured) === Truth::Yes) {
                    return $at;
                }
            }
        }

        return null;
    }

    /**
     * Rules as they are asked of swings of which some times are known too badly: those clauses are left out.
     *
     * @return non-empty-list<list<Rule>> the rules whole, then for every set of stations that may be known
     */
    private static function asked(Rule ...$rules): array
    {
        $anchors = [];
        foreach ($rules as $rule) {
            foreach ($rule->conditions() as $condition) {
                $anchor = Scale::anchor($condition->measure);
                if ($anchor !== null) {
                    $anchors[$anchor->value] = $anchor;
                }
            }
        }
        $out = [array_values($rules)];
        $anchors = array_values($anchors);
        for ($set = 0; $set < (1 << count($anchors)) - 1; $set++) {
            $scale = Scale::knowing(array_values(array_filter(
                $anchors,
                static fn (int $i): bool => ($set >> $i & 1) === 1,
                ARRAY_FILTER_USE_KEY,
            )));
            $out[] = array_map(static fn (Rule $rule): Rule => $rule->scaled($scale) ?? $rule, array_values($rules));
        }

        return $out;
    }

    /** @return array{bool, bool} whether any values support it, and any contradict it */
    private static function reached(Rule $yes, ?Rule $no): array
    {
        $supported = $denied = false;
        foreach (RuleCells::of($no === null ? [$yes] : [$yes, $no]) as [, $measured]) {
            $supported = $supported || $yes->evaluate($measured) === Truth::Yes;
            $denied = $denied || $no?->evaluate($measured) === Truth::Yes;
        }

        return [$supported, $denied];
    }

    /**
     * @param  array<string, Drill>  $drills
     * @return list<Remark>
     */
    private static function ofHelp(Fault $fault, array $drills): array
    {
        $of = static fn (Defect $defect, string $drill): Remark => Remark::of(
            $defect,
            name: $fault->name,
            drill: $drills[$drill]->name ?? $drill,
        );
        $found = [];
        foreach (array_unique([...$fault->helps, ...$fault->harms]) as $drill) {
            if (! isset($drills[$drill])) {
                $found[] = $of(Defect::NoDrill, $drill);
            } elseif (in_array($drill, $fault->helps, true) && in_array($drill, $fault->harms, true)) {
                $found[] = $of(Defect::HelpsAndHarms, $drill);
            } elseif ($drills[$drill]->harms && in_array($drill, $fault->helps, true)) {
                $found[] = $of(Defect::HelpedByWarning, $drill);
            }
        }

        return $found;
    }

    /**
     * @return list<Remark>
     *
     * @throws CoreException
     */
    private static function ofDrills(CodebookDocument $document): array
    {
        $found = [];
        foreach ($document->drills() as $drill) {
            if ($drill->harms) {
                continue;
            }
            if ($drill->plan === null) {
                $found[] = Remark::of(Defect::NoPlan, drill: $drill->name);

                continue;
            }
            foreach (array_diff_key($document->lenses(), $drill->plan->lenses) as $lens) {
                $found[] = Remark::of(Defect::NoVariant, drill: $drill->name, lens: $lens);
            }
        }

        return $found;
    }

    /**
     * @return list<Remark>
     *
     * @throws CoreException
     */
    private static function ofCues(CodebookDocument $document): array
    {
        $found = [];
        foreach ($document->cues() as $cue) {
            foreach (array_diff($cue->provokes, array_keys($document->toArray()['faults'])) as $fault) {
                $found[] = Remark::of(Defect::ProvokesNothing, cue: $cue->said[0], key: $fault);
            }
        }

        return $found;
    }

    /**
     * @param  array<string, float|string>  $values  by measure or measure@STATION
     * @return list<Remark> as clauses that were found
     */
    private static function parts(array $values): array
    {
        $out = [];
        foreach ($values as $name => $value) {
            [$measure, $station] = array_pad(explode('@', $name), 2, '');
            $out[] = Remark::of(Clause::Value, ...[
                'measure' => $measure,
                ...$station === '' ? [] : ['station' => $station],
                'value' => $value,
            ]);
        }

        return $out;
    }
}
