<?php

declare(strict_types=1);

namespace App\Capture\Http;

use App\Exceptions\ActionException;
use Illuminate\Foundation\Http\FormRequest;

/**
 * Samples as a device sends them, in chunks.
 *
 * @phpstan-type Chunk array{seq: int, first_sample: int, device_s: float, samples: list<list<int|float|null>>}
 */
final class ChunksRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'chunks' => ['required', 'array', 'max:40'],
            'chunks.*.seq' => ['required', 'integer', 'between:0,4000000000'],
            'chunks.*.first_sample' => ['required', 'integer', 'between:0,4000000000'],
            'chunks.*.device_s' => ['required', 'numeric', 'between:-1e12,1e12'],
            'chunks.*.samples' => ['required', 'array', 'max:5000'],
        ];
    }

    /**
     * @return list<Chunk>
     *
     * @throws ActionException where a sample holds something that is no number
     */
    public function chunks(): array
    {
        /**
         * @var array<array{seq: int|string, first_sample: int|string, device_s: float|int|string,
         *     samples: array<mixed>}> $sent
         */
        $sent = $this->validated('chunks');
        $out = [];
        foreach ($sent as $c) {
            $out[] = [
                'seq' => (int) $c['seq'],
                'first_sample' => (int) $c['first_sample'],
                'device_s' => (float) $c['device_s'],
                'samples' => self::samples((int) $c['seq'], $c['samples']),
            ];
        }

        return $out;
    }

    /**
     * Checked by hand: a validator over every number would take longer than the swing.
     *
     * @param  array<mixed>  $rows
     * @return list<list<int|float|null>>
     *
     * @throws ActionException
     */
    private static function samples(int $seq, array $rows): array
    {
        $out = [];
        foreach ($rows as $row) {
            $numbers = is_array($row)
                ? array_filter($row, static fn (mixed $v): bool => $v === null || is_int($v) || is_float($v))
                : null;
            if ($numbers === null || count($numbers) !== count((array) $row)) {
                throw ActionException::because('refusals.capture.no-number', ['seq' => $seq]);
            }
            $out[] = array_values($numbers);
        }

        return $out;
    }
}
