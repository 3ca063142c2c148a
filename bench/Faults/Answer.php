<?php

declare(strict_types=1);

namespace HandGarden\Bench\Faults;

/** What came back; status 0 when nothing did. */
final readonly class Answer
{
    private function __construct(
        public int $status,
        public string $headers,
        public string $body,
    ) {
    }

    public static function from(\CurlHandle $request, string $text): self
    {
        $status = curl_getinfo($request, \CURLINFO_RESPONSE_CODE);
        $length = curl_getinfo($request, \CURLINFO_HEADER_SIZE);

        return new self(
            $status,
            substr($text, 0, $length),
            substr($text, $length),
        );
    }

    public function leadsTo(): string
    {
        return 1 === preg_match('/^Location: (\S+)/mi', $this->headers, $m) ? $m[1] : '';
    }
}
