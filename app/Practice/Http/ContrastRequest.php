<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\Codebook\Codebooks;
use Core\Codebook\StandardLenses;
use Core\Motion\Handedness;
use Core\Simulation\ContrastKind;
use Core\Simulation\ContrastSet as Spec;
use Core\Simulation\MadeSwing;
use Core\Simulation\Mishap;
use Core\Simulation\Plant;
use Core\Trace\DeviceClass;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/**
 * What a contrast set shows: about which fault, beside which other or which thing gone wrong, on what, for which hand.
 */
final class ContrastRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Codebooks $codebooks): array
    {
        $lens = $this->input('lens');
        $lenses = array_keys($codebooks->document()->lenses());
        $faults = is_string($lens) && in_array($lens, $lenses, true)
            ? array_intersect($codebooks->current($lens)->keys(), Plant::FAULTS)
            : Plant::FAULTS;
        $device = is_string($this->input('device')) ? DeviceClass::tryFrom($this->input('device')) : null;

        return [
            'kind' => ['required', Rule::enum(ContrastKind::class)],
            'fault' => ['required_unless:kind,artefact', 'nullable', 'string', Rule::in($faults)],
            'other' => ['required_if:kind,alike', 'nullable', 'string', 'different:fault', Rule::in($faults)],
            'mishap' => ['required_if:kind,artefact', 'nullable', 'string', Rule::in(array_keys(array_filter(
                Mishap::all(),
                static fn (Mishap $m, string $code): bool => isset(Spec::MISTAKEN[$code]) &&
                    ($device === null || in_array($device, $m->devices, true)),
                ARRAY_FILTER_USE_BOTH,
            )))],
            'device' => ['required', Rule::enum(DeviceClass::class)],
            'hand' => ['required', Rule::enum(Handedness::class)],
            'lens' => ['required', 'string', Rule::in($lenses)],
            'body' => ['nullable', 'integer', 'between:0,'.(MadeSwing::BODIES - 1)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'fault.in' => (string) __('practice.contrast.not-under-lens'),
            'other.in' => (string) __('practice.contrast.not-under-lens'),
            'other.different' => (string) __('practice.contrast.the-same'),
            'mishap.in' => (string) __('practice.contrast.not-on-device'),
        ];
    }

    public function spec(): Spec
    {
        $kind = $this->enum('kind', ContrastKind::class) ?? ContrastKind::Fault;
        $mishap = $kind === ContrastKind::Artefact ? $this->string('mishap')->toString() : null;

        return new Spec(
            $kind,
            $mishap === null ? $this->string('fault')->toString() : Spec::MISTAKEN[$mishap],
            $kind === ContrastKind::Alike ? $this->string('other')->toString() : null,
            $mishap,
            $this->enum('device', DeviceClass::class) ?? DeviceClass::DualPlate,
            $this->enum('hand', Handedness::class) ?? Handedness::Right,
            $this->string('lens', StandardLenses::DEFAULT)->toString(),
            $this->integer('body'),
        );
    }
}
