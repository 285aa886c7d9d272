<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TextOptions;
use App\Exceptions\Refusal;
use App\Models\Casts\Cell;
use Core\Chance\Chance;
use Core\CoreException;
use Core\Format\Json\StanceJson;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Illuminate\Console\Command;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Http;

/** A bench device that is not there: swings, stands still, and sends what an instrument would. */
final class DeviceSimulate extends Command
{
    use TextOptions;

    protected $signature = 'device:simulate {--url=http://127.0.0.1:8080} {--token=} {--device=mat : mat, plate or dual-plate}
        {--fault=* : a fault and its severity, such as hang-back:2} {--swings=3} {--seed=bench}
        {--fast : as fast as it is taken, not in real time}
        {--lose=0 : share of chunks whose first sending is lost} {--twice=0 : share of chunks sent twice}
        {--shuffle : send chunks out of order} {--clock=0 : seconds by which its clock is wrong}';

    protected $description = 'A simulated pressure device that speaks to the ingest interface';

    private const CHUNK_S = 0.1;

    public function handle(): int
    {
        $device = DeviceClass::tryFrom($this->text('device'));
        if ($device === null || $this->text('token') === '') {
            $this->output
                ->getErrorStyle()
                ->writeln(
                    $device === null
                        ? "--device is '{$this->text('device')}', not mat, plate or dual-plate"
                        : '--token is needed: register a device on the Capture page',
                );

            return self::FAILURE;
        }
        try {
            $plant = $this->plant();
        } catch (CoreException $e) {
            $this->output->getErrorStyle()->writeln(Refusal::sentenceOf($e));

            return self::FAILURE;
        }
        [$channels, $rows, $rate, $stance, $mass] = $this->signal($device, $plant);
        $open = $this->send('/ingest/sessions', [
            'class' => $device->value,
            'rate_hz' => $rate,
            'channels' => $channels,
            'stance' => $stance,
            'mass_kg' => $mass,
        ]);
        if ($open === null || ! isset($open['session'])) {
            $this->output
                ->getErrorStyle()
                ->writeln('the server did not open a capture: '.Cell::text($open['message'] ?? 'it does not answer'));

            return self::FAILURE;
        }
        $session = Cell::text($open['session']);
        $this->line("sending as capture $session");
        $sent = $this->stream($session, $rows, $rate);
        if ($sent) {
            $this->send("/ingest/sessions/$session/close", []);
            $this->line('closed');
        }

        return $sent ? self::SUCCESS : self::FAILURE;
    }

    private function plant(): Plant
    {
        $faults = [];
        foreach ((array) $this->option('fault') as $f) {
            [$key, $severity] = array_pad(explode(':', (string) $f, 2), 2, '2');
            $faults[$key] = (int) $severity;
        }

        return new Plant($faults);
    }

    /** @return array{list<string>, list<list<float|null>>, float, array<string, mixed>, float} */
    private function signal(DeviceClass $device, Plant $plant): array
    {
        $rows = [];
        $channels = [];
        $stance = [];
        $rate = 0.0;
        for ($s = 0; $s < max(1, (int) $this->option('swings')); $s++) {
            $swing = Swing::simulated(new GolferSpec($this->text('seed')."|$s", $plant, device: $device));
            $trace = $swing->trace;
            $rate = $trace->rateHz;
            $channels = array_keys($trace->channels);
            $stance = StanceJson::write($swing->stance);
            $n = $trace->samples();
            // Between swings the golfer stands as at the start of the next.
            $still = (int) (1.2 * $rate);
            for ($i = -$still; $i < $n; $i++) {
                $row = [];
                foreach ($trace->channels as $values) {
                    $v = $values[$i < 0 ? ($i + $still) % (int) (0.5 * $rate) : $i];
                    $row[] = is_nan($v) ? null : $v;
                }
                $rows[] = $row;
            }
        }

        // And holds still at the end, so that the last swing is over.
        $last = array_slice($rows, -(int) (0.2 * $rate));
        for ($k = 0; $k < 8; $k++) {
            array_push($rows, ...$last);
        }

        return [$channels, $rows, $rate, $stance, 78.0];
    }

    /** @param  list<list<float|null>>  $rows */
    private function stream(string $session, array $rows, float $rate): bool
    {
        $chance = new Chance('device|'.$this->text('seed'));
        $size = max(1, (int) (self::CHUNK_S * $rate));
        $skew = (float) $this->text('clock');
        $waiting = [];
        $start = microtime(true);
        foreach (array_chunk($rows, $size) as $seq => $samples) {
            $waiting[$seq] = [
                'seq' => $seq,
                'first_sample' => $seq * $size,
                'device_s' => $start + ($seq + 1) * self::CHUNK_S + $skew,
                'samples' => $samples,
            ];
            if (! $this->option('fast')) {
                $due = $start + ($seq + 1) * self::CHUNK_S;
                usleep((int) max(0, 1e6 * ($due - microtime(true))));
            }
            if ($this->option('shuffle') && count($waiting) < 4 && $seq < intdiv(count($rows), $size) - 4) {
                continue;
            }
            if ($chance->uniform() < (float) $this->text('lose')) {
                // Its first sending is lost; it goes out with the next.
                continue;
            }
            $batch = $this->option('shuffle') ? $chance->shuffled(array_values($waiting)) : array_values($waiting);
            if ($chance->uniform() < (float) $this->text('twice')) {
                $this->send("/ingest/sessions/$session/chunks", ['chunks' => array_slice($batch, 0, 1)]);
            }
            $waiting = $this->deliver($session, $batch, $waiting);
            if ($waiting === null) {
                return false;
            }
        }
        while ($waiting !== []) {
            $waiting = $this->deliver($session, array_slice(array_values($waiting), 0, 40), $waiting);
            if ($waiting === null) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<array<string, mixed>>  $batch
     * @param  array<int, array<string, mixed>>  $waiting
     * @return array<int, array<string, mixed>>|null what is still unacknowledged; null when the capture was refused
     */
    private function deliver(string $session, array $batch, array $waiting): ?array
    {
        $answer = $this->send("/ingest/sessions/$session/chunks", ['chunks' => array_slice($batch, 0, 40)]);
        if ($answer === null) {
            // No answer is no acknowledgement: it is sent again, and counts once.
            $this->output->getErrorStyle()->writeln('no answer; keeping '.count($waiting).' chunks');
            usleep(500_000);

            return $waiting;
        }
        if (! isset($answer['acknowledged'])) {
            $this->output->getErrorStyle()->writeln('refused: '.Cell::text($answer['message'] ?? ''));

            return null;
        }
        foreach ((array) $answer['acknowledged'] as $seq) {
            unset($waiting[Cell::int($seq)]);
        }

        return $waiting;
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>|null
     */
    private function send(string $path, array $body): ?array
    {
        try {
            $answer = Http::withToken($this->text('token'))
                ->timeout(5)
                ->acceptJson()
                ->post(rtrim($this->text('url'), '/').$path, $body);
        } catch (ConnectionException) {
            return null;
        }

        /** @var array<string, mixed> $said */
        $said = (array) $answer->json();

        return $answer->serverError() ? null : $said;
    }
}
