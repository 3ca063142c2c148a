<?php

declare(strict_types=1);

namespace HandGarden\Web;

use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Says what the core answers in codes, for pages, paper and commands alike. The words stand in `translations/`. */
final readonly class Wording
{
    public function __construct(
        private TranslatorInterface $translator,
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

    /** @param array<string, string|int|float> $with */
    public function word(string $code, array $with = []): string
    {
        return $this->translator->trans($code, $with);
    }
}
