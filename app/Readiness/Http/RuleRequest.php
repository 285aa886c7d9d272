<?php

declare(strict_types=1);

namespace App\Readiness\Http;

use App\Codebook\Codebooks;
use App\Readiness\Pages\RulePage;
use Core\CoreException;
use Core\Trace\DeviceClass;
use Core\Training\Bar;
use Core\Training\BarKind;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Core\Training\ReadinessRule as CoreRule;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** A rule as it was filled in; rows of criteria without a name are left out. */
final class RuleRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Codebooks $codebooks): array
    {
        $lenses = array_keys($codebooks->document()->lenses());
        $lens = $this->input('lens');
        $faults = in_array($lens, $lenses, true) ? $codebooks->current($lens)->keys() : [];

        return [
            'name' => ['required', 'string', 'max:60'],
            'device' => ['nullable', Rule::enum(DeviceClass::class)],
            'lens' => ['required', 'string', Rule::in($lenses)],
            'months' => ['required', 'integer', 'between:1,60'],
            'criteria' => ['required', 'array', 'max:'.RulePage::CRITERIA],
            'criteria.*.name' => ['nullable', 'string', 'max:60'],
            'criteria.*.kind' => ['nullable', Rule::enum(CriterionKind::class)],
            'criteria.*.bar' => ['nullable', 'numeric', 'between:1,98'],
            'criteria.*.good' => ['nullable', 'numeric', 'between:2,99'],
            'criteria.*.faults' => ['nullable', 'array', 'max:60'],
            'criteria.*.faults.*' => ['string', Rule::in($faults)],
            'bars' => ['nullable', 'array:'.implode(',', array_column(BarKind::cases(), 'value'))],
            'bars.*.asked' => ['nullable', 'in:1'],
            'bars.*.limit' => ['nullable', 'numeric', 'between:0,10000'],
            'bars.*.of' => ['nullable', 'integer', 'between:0,1000'],
        ];
    }

    public function name(): string
    {
        return trim($this->string('name')->toString());
    }

    public function device(): ?DeviceClass
    {
        return $this->enum('device', DeviceClass::class);
    }

    public function lens(): string
    {
        return $this->string('lens')->toString();
    }

    /** @throws ValidationException where it makes no rule */
    public function rule(): CoreRule
    {
        try {
            $criteria = $this->criteria();

            return $criteria === []
                ? throw ValidationException::withMessages(['criteria' => (string) __('readiness.no-criterion')])
                : new CoreRule($criteria, $this->bars(), $this->integer('months'));
        } catch (CoreException) {
            throw ValidationException::withMessages(['criteria' => (string) __('readiness.no-rule')]);
        }
    }

    /**
     * @return list<Criterion>
     *
     * @throws CoreException
     */
    private function criteria(): array
    {
        $out = [];
        foreach ((array) $this->input('criteria', []) as $row) {
            $row = is_array($row) ? $row : [];
            $name = is_string($row['name'] ?? null) ? trim($row['name']) : '';
            $faults = array_values(array_unique(array_filter((array) ($row['faults'] ?? []), is_string(...))));
            if ($name === '' && $faults === []) {
                continue;
            }
            if ($name === '' || $faults === []) {
                throw ValidationException::withMessages(['criteria' => (string) __('readiness.half-criterion')]);
            }
            $out[] = new Criterion(
                $name,
                $faults,
                CriterionKind::tryFrom(is_string($row['kind'] ?? null) ? $row['kind'] : '')
                    ?? CriterionKind::Sensitivity,
                self::number($row['bar'] ?? null) / 100.0,
                self::number($row['good'] ?? null) / 100.0,
            );
        }

        return $out;
    }

    /**
     * @return array<string, Bar>
     *
     * @throws CoreException
     */
    private function bars(): array
    {
        $out = [];
        foreach (BarKind::cases() as $kind) {
            $row = $this->input("bars.$kind->value");
            if (is_array($row) && ($row['asked'] ?? '') === '1') {
                $out[$kind->value] = new Bar(
                    $kind,
                    self::number($row['limit'] ?? null) / ($kind->isShare() ? 100.0 : 1.0),
                    (int) (is_numeric($row['of'] ?? null) ? $row['of'] : 0),
                );
            }
        }

        return $out;
    }

    private static function number(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : NAN;
    }
}
