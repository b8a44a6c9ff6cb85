import { SiteBook } from '../src/book/site-book.tsx';

export default function Home() {
  return <SiteBook />;
}
