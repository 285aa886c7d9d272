<?php

declare(strict_types=1);

namespace App\Capture\Http;

use Core\Trace\ConstantErrors;
use Illuminate\Foundation\Http\FormRequest;

/** What a device is off by, where somebody has checked it. */
final class DeviceErrorsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $rules = ['source' => ['nullable', 'string', 'max:200']];
        foreach (ConstantErrors::LIMITS as $name => [$least, $most]) {
            $rules[$name] = ['nullable', 'numeric', "between:$least,$most"];
            $rules['source'][] = "required_with:$name";
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['source.required_with' => (string) __('capture.off-by.say-how')];
    }

    /** @return array<string, string> as the page calls them */
    public function attributes(): array
    {
        $names = [...array_keys(ConstantErrors::LIMITS), 'source'];

        return array_map(
            static fn (string $name): string => (string) __("capture.off-by.$name"),
            array_combine($names, $names),
        );
    }

    /** @return array<string, float|string>|null null: nothing is stated */
    public function stated(): ?array
    {
        $out = [];
        foreach (array_keys(ConstantErrors::LIMITS) as $name) {
            if ($this->filled($name)) {
                $out[$name] = $this->float($name);
            }
        }

        return $out === [] ? null : [...$out, 'source' => $this->string('source')->trim()->value()];
    }
}
