<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Shelf\Actions\ChangeFacts;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;

/**
 * What is known of one swing, set right.
 *
 * @phpstan-import-type Facts from ChangeFacts
 */
final class FactsRequest extends FormRequest
{
    use TakesFacts;

    /** @return array<string, list<string|Enum|In>> */
    public function rules(): array
    {
        return [...$this->factRules(), ...$this->flightRules(), 'version' => ['required', 'integer', 'min:0']];
    }

    /** @return Facts with what the ball did */
    public function swing(): array
    {
        return [...$this->facts(), 'outcome' => $this->flight()];
    }
}
