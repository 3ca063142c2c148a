<?php

declare(strict_types=1);

namespace HandGarden\Web;

use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;
use Symfony\Component\Translation\TranslatorBagInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Says what the core answers in codes, for pages, paper and commands alike. The words stand in `translations/`. */
final class Wording
{
    /** A message with names in braces and nothing to choose or to count. */
    private const PLAIN = "/^[^{}']*(?:\\{\\w+\\}[^{}']*)*$/";

    /** @var array<string, ?string> by language and code; null: it has to be formatted */
    private array $plain = [];

    public function __construct(
        private readonly TranslatorInterface $translator,
    ) {
    }

    public function say(Phrase|Joined|string $phrase): string
    {
        if (\is_string($phrase)) {
            return $phrase;
        }
        if ($phrase instanceof Joined) {
            return implode(
                $this->word('joint.'.$phrase->by->value),
                array_map($this->say(...), $phrase->parts),
            );
        }

        return $this->word($phrase->code, array_map(
            fn (string|int|float|Phrase|Joined $v): string|int|float => \is_object($v) ? $this->say($v) : $v,
            $phrase->with,
        ));
    }

    /** The same with a capital, where it stands for itself. */
    public function sentence(Phrase|Joined|string $phrase): string
    {
        $said = $this->say($phrase);

        return mb_strtoupper(mb_substr($said, 0, 1)).mb_substr($said, 1);
    }

    /**
     * Most messages only have names put in, which needs no formatter: making one takes as long as saying fifty words.
     *
     * @param array<string, string|int|float> $with
     */
    public function word(string $code, array $with = []): string
    {
        $put = [];
        foreach ($with as $name => $value) {
            if (!\is_string($value) && (abs($value) >= 1000 || floor($value) !== (float) $value)) {
                return $this->translator->trans($code, $with); // a number as it is written in this language
            }
            $put['{'.$name.'}'] = (string) $value;
        }
        $message = $this->plain($code);

        return null === $message ? $this->translator->trans($code, $with) : strtr($message, $put);
    }

    private function plain(string $code): ?string
    {
        $locale = $this->translator->getLocale();
        $key = $locale.' '.$code;
        if (!\array_key_exists($key, $this->plain)) {
            $message = $this->translator instanceof TranslatorBagInterface
                ? $this->translator->getCatalogue($locale)->get($code)
                : '{}';
            $this->plain[$key] = 1 === preg_match(self::PLAIN, $message) ? $message : null;
        }

        return $this->plain[$key];
    }
}
