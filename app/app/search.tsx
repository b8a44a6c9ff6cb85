import { fetched } from '../src/ui/fetched.tsx';

const SearchScreen = fetched(() => import('../src/search/search-screen.tsx').then((part) => part.SearchScreen));

export default function Search() {
  return <SearchScreen />;
}
