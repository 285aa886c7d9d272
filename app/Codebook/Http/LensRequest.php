<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\Codebooks;
use Core\Codebook\StandardLenses;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A page that is looked at through a lens: the standard one where none is chosen. */
final class LensRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Codebooks $codebooks): array
    {
        return ['lens' => ['nullable', 'string', Rule::in(array_keys($codebooks->document()->lenses()))]];
    }

    public function lens(): string
    {
        $lens = $this->validated('lens');

        return is_string($lens) ? $lens : StandardLenses::DEFAULT;
    }
}
