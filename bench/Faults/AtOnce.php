<?php

declare(strict_types=1);

namespace HandGarden\Bench\Faults;

/** Browsers that ask at the same time, each again as soon as it is answered. */
final class AtOnce
{
    /** Answers other than 200. */
    public int $wrong = 0;

    /** @var list<float> of every request, the shortest first */
    private array $seconds = [];

    private float $whole = 0.0;

    /** @param \Closure(int): \CurlHandle $ask told the number of the browser; a handle of its own */
    public static function run(int $browsers, int $each, \Closure $ask): self
    {
        $run = new self();
        $all = curl_multi_init();
        $left = array_fill(0, $browsers, $each);
        $from = microtime(true);
        $asked = [];
        $next = static function (int $browser) use ($ask, $all, &$left, &$asked): void {
            if ($left[$browser]-- > 0) {
                $request = $ask($browser);
                $asked[spl_object_id($request)] = [$browser, microtime(true)];
                curl_multi_add_handle($all, $request);
            }
        };
        array_map($next, range(0, $browsers - 1));
        while (\count($run->seconds) < $browsers * $each) {
            curl_multi_exec($all, $running);
            while (false !== ($done = curl_multi_info_read($all))) {
                $request = $done['handle'];
                \assert($request instanceof \CurlHandle);
                [$browser, $began] = $asked[spl_object_id($request)];
                $run->seconds[] = microtime(true) - $began;
                $run->wrong += 200 === curl_getinfo($request, \CURLINFO_RESPONSE_CODE) ? 0 : 1;
                curl_multi_remove_handle($all, $request);
                $next($browser);
            }
            curl_multi_select($all, 0.05);
        }
        $run->whole = microtime(true) - $from;
        sort($run->seconds);

        return $run;
    }

    public function eachSecond(): float
    {
        return \count($this->seconds) / $this->whole;
    }

    /** @param float $share of the requests that took no longer: 0.5 the middle one */
    public function milliseconds(float $share): float
    {
        return 1e3 * $this->seconds[(int) (\count($this->seconds) * $share)];
    }
}
