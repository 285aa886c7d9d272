<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\ContrastSet;
use App\Models\PracticeAnswer;
use Core\Motion\Handedness;
use Core\Simulation\ContrastKind;

/** Which made swings stand beside a question's once it is answered, held at the same station: of the same hand. */
final readonly class Contrasts
{
    /** @return list<array{made: int, name: string}> in the order of their set; none where none is made yet */
    public function beside(PracticeAnswer $answer, ContrastKind ...$kinds): array
    {
        $set = $this->set($answer, $kinds);
        if ($set === null) {
            return [];
        }
        $names = array_keys($set->spec()->swings());
        $out = [];
        foreach ($set->swings as $place => $made) {
            if ($made->id !== $answer->made_swing_id) {
                $out[] = ['made' => $made->id, 'name' => self::name($set, $names[$place])];
            }
        }

        return $out;
    }

    /** What a swing of a set is called on a page. */
    public static function name(ContrastSet $set, string $which): string
    {
        return (string) __("practice.contrast.swings.{$set->kind->value}.$which");
    }

    /** @param  array<ContrastKind>  $kinds  the first before the next */
    private function set(PracticeAnswer $answer, array $kinds): ?ContrastSet
    {
        $own = $answer->made;
        $hand = $own === null ? Handedness::from($answer->recorded()->golfer->handedness) : $own->spec()->hand;
        $sets = ContrastSet::query()
            ->whereNotNull('made_at')
            ->where('hand', $hand)
            ->whereIn('kind', $kinds)
            ->where(static fn ($q) => $q->where('fault', $answer->fault)->orWhere('other', $answer->fault))
            ->with(['swings' => static fn ($q) => $q->select(['made_swings.id', 'made_swings.spec'])])
            ->orderBy('id')
            ->get();
        $device = $own === null ? $answer->recorded()->deviceClass() : $own->device();

        return $sets
            ->sortBy(static fn (ContrastSet $s): array => [
                $own !== null && $s->swings->contains('id', $own->id) ? 0 : 1,
                array_search($s->kind, $kinds, true),
                $s->device === $device ? 0 : 1,
                $s->id,
            ])
            ->first();
    }
}
